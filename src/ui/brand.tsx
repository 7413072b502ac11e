/** The mark: a mitred frame round a window. */
export function Brand({ size = 28 }: { size?: number }) {
  return (
    <svg width={size} height={size * 0.86} viewBox="0 0 28 24" aria-hidden="true">
      <rect x="1" y="1" width="26" height="22" fill="none" stroke="currentColor" strokeWidth="1.6" />
      <path d="M1 1 L9 8 M27 1 L19 8 M1 23 L9 16 M27 23 L19 16" stroke="currentColor" strokeWidth="1.4" />
      <rect x="9" y="8" width="10" height="8" fill="var(--next)" stroke="currentColor" strokeWidth="1.2" />
    </svg>
  );
}
