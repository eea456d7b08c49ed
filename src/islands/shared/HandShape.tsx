/** A hand seen from above, wrist at the origin, fingers along x, palm across y, in mm. Proportions of a middling hand. */
export function HandShape({
  lengthMm,
  breadthMm,
  className,
}: {
  lengthMm: number;
  breadthMm: number;
  className?: string | undefined;
}) {
  const palm = 0.55 * lengthMm;
  const finger = breadthMm / 4.25;
  const tips = [0.93, 1, 0.95, 0.8];
  return (
    <g className={className}>
      <rect x={0} y={-0.42 * breadthMm} width={palm * 0.5} height={0.84 * breadthMm} rx={0.2 * breadthMm} />
      <rect x={palm * 0.2} y={-breadthMm / 2} width={palm * 0.86} height={breadthMm} rx={0.24 * breadthMm} />
      {tips.map((tip, i) => (
        <rect
          key={tip}
          x={palm * 0.8}
          y={-breadthMm / 2 + i * (breadthMm / 4) + (breadthMm / 4 - finger) / 2}
          width={tip * lengthMm - palm * 0.8}
          height={finger}
          rx={finger / 2}
        />
      ))}
      <rect
        x={palm * 0.18}
        y={-finger * 0.55}
        width={0.46 * lengthMm}
        height={finger * 1.15}
        rx={finger * 0.55}
        transform={`translate(${palm * 0.1} ${-breadthMm * 0.42}) rotate(-38)`}
      />
    </g>
  );
}
