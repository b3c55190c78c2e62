/** The house mark: a spoon of sauce that pours. */
export function Mark({ className = '' }: { className?: string }) {
  return (
    <svg viewBox="0 0 24 28" className={className} aria-hidden="true">
      <path
        d="M2 2.5 C2 1.7 2.7 1 3.5 1 H20.5 C21.3 1 22 1.7 22 2.5 C22 9 18 11.5 15.5 13 V24 C15.5 26 14 27 12 27 C10 27 8.5 26 8.5 24 V13 C6 11.5 2 9 2 2.5 Z"
        fill="#7fa0ff"
      />
      <path d="M8.5 17 C10 15.6 14 15.6 15.5 17 V24 C15.5 26 14 27 12 27 C10 27 8.5 26 8.5 24 Z" fill="#e4e9ea" />
    </svg>
  );
}
