import { hundredths } from "#core/properties";
import { useBench } from "../state/context";

/** Guides, distances and numbers over the card one works on; px of the piece. */
export const MarksLayer = ({ zoom }: { zoom: number }) => {
  const marks = useBench((s) => s.marks);
  if (!marks) return null;
  const z = (n: number) => n * zoom;
  return (
    <svg className="marks" aria-hidden="true">
      {marks.guides.map((g, i) =>
        g.axis === "x" ? (
          <line key={i} x1={z(g.at)} x2={z(g.at)} y1={z(g.from)} y2={z(g.to)} />
        ) : (
          <line key={i} y1={z(g.at)} y2={z(g.at)} x1={z(g.from)} x2={z(g.to)} />
        ),
      )}
      {marks.gaps.map((g, i) => {
        const [x1, y1, x2, y2] =
          g.axis === "x" ? [g.from, g.at, g.to, g.at] : [g.at, g.from, g.at, g.to];
        const text = String(hundredths(g.to - g.from));
        const mid = [z((x1 + x2) / 2), z((y1 + y2) / 2)] as const;
        return (
          <g key={`g${i}`}>
            <line x1={z(x1)} y1={z(y1)} x2={z(x2)} y2={z(y2)} />
            {g.axis === "x" ? (
              <path d={`M${z(x1)} ${z(y1) - 4}v8M${z(x2)} ${z(y2) - 4}v8`} />
            ) : (
              <path d={`M${z(x1) - 4} ${z(y1)}h8M${z(x2) - 4} ${z(y2)}h8`} />
            )}
            <rect
              x={mid[0] - text.length * 3.6 - 4}
              y={mid[1] - 8}
              width={text.length * 7.2 + 8}
              height={16}
              rx={4}
            />
            <text x={mid[0]} y={mid[1] + 4}>
              {text}
            </text>
          </g>
        );
      })}
      {marks.marquee && (
        <rect
          className="marquee"
          x={z(marks.marquee.x)}
          y={z(marks.marquee.y)}
          width={z(marks.marquee.width)}
          height={z(marks.marquee.height)}
        />
      )}
      {marks.readout && (
        <g className="readout">
          <rect
            x={z(marks.readout.x) - marks.readout.text.length * 3.6 - 6}
            y={z(marks.readout.y) + 7}
            width={marks.readout.text.length * 7.2 + 12}
            height={18}
            rx={5}
          />
          <text x={z(marks.readout.x)} y={z(marks.readout.y) + 20}>
            {marks.readout.text}
          </text>
        </g>
      )}
    </svg>
  );
};
