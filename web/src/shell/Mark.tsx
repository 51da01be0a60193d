/** The app's mark: two rails and three rungs. */
export function Mark({ size = 28 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true" focusable="false">
      <rect width="32" height="32" rx="6" fill="#0B6E6E" />
      <path
        d="M10 4 8 28M22 4l2 24M9.5 10h13M9 16.5h14M8.5 23h15"
        stroke="#FAF8F3"
        strokeWidth="2.6"
        strokeLinecap="round"
        fill="none"
      />
    </svg>
  );
}
