/** A comma or full stop behind a field: it takes no room on the line, so that it never begins the next one. */
export function Mark({ children }: { children: string }) {
  return (
    <>
      <span className="inline-block w-0">{children}</span>
      <span className="inline-block w-[0.25em]" />
    </>
  );
}
