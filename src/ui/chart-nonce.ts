/** The nonce this document was served with: styles the chart adds must carry it, whatever page was opened since. */
export function chartNonce(): string | undefined {
  return typeof document === 'undefined'
    ? undefined
    : document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce;
}
