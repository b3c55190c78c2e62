/** What lies over the bench. */
export type OpenSheet =
  | 'add'
  | 'targets'
  | 'shortcuts'
  | 'nutrition'
  | 'versions'
  | 'variants'
  | 'compare'
  | 'tags'
  | { readonly swap: string | undefined }
  | { readonly blend: string }
  /** the moment it is poured at */
  | { readonly pour: string };
