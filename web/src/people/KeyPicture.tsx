/** A QR code, drawn from its rows of dark and light. */
export function KeyPicture({ rows, label }: { rows: readonly string[]; label: string }) {
  const dark = rows.flatMap((row, y) => [...row].map((cell, x) => (cell === '1' ? `M${x} ${y}h1v1h-1z` : ''))).join('');
  return (
    <svg
      className="key-picture bg-white border rounded"
      viewBox={`0 0 ${rows.length} ${rows.length}`}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <path d={dark} fill="#000" />
    </svg>
  );
}
