import '../../words/places/shelf.ts';
import { say } from '../../words/say.ts';
import { PlantLines } from '../drawings/PlantDrawing.tsx';
import { FONT } from './measure.ts';
import type { SetPage, SheetFormat } from './paper.ts';
import { PLANT_LINE } from './setLines.ts';

/** More pages than this are counted, not shown. */
export const PREVIEWED = 6;

/** A page of labels drawn in millimetres: the preview, and what the browser prints. */
export function Page(props: { page: SetPage; sheet: SheetFormat; trueSize: boolean; lines?: boolean }) {
  const { page, sheet, trueSize, lines } = props;
  return (
    <svg
      data-testid="sheet"
      role="img"
      aria-label={say('labelsPage.aSheetWithLabels', { labels: page.labels.length })}
      viewBox={`0 0 ${sheet.pageW} ${sheet.pageH}`}
      width={trueSize ? `${sheet.pageW}mm` : '100%'}
      height={trueSize ? `${sheet.pageH}mm` : undefined}
      style={{ background: '#fff', color: '#000', display: 'block', flexShrink: 0 }}
    >
      {page.labels.map(({ x, y, parts }) => (
        <g key={`${x},${y}`} transform={`translate(${x} ${y})`}>
          {lines && (
            <rect
              width={sheet.labelW}
              height={sheet.labelH}
              rx={1.5}
              fill="none"
              stroke="#9aa7c4"
              strokeWidth={0.2}
              strokeDasharray="1 1"
            />
          )}
          {parts.map((part, i) =>
            part.kind === 'text' ? (
              <text
                // biome-ignore lint/suspicious/noArrayIndexKey: parts of a label are only counted
                key={i}
                x={part.x}
                y={part.y}
                fontSize={part.sizeMm}
                fontWeight={part.bold ? 700 : 400}
                fontFamily={FONT}
                fill="#000"
              >
                {part.text}
              </text>
            ) : part.kind === 'plant' ? (
              <svg
                // biome-ignore lint/suspicious/noArrayIndexKey: parts of a label are only counted
                key={i}
                x={part.x}
                y={part.y}
                width={part.sizeMm}
                height={part.sizeMm}
                viewBox="0 0 64 64"
                aria-hidden="true"
              >
                <PlantLines plant={part.plant} stroke="#000" strokePx={PLANT_LINE} scales />
              </svg>
            ) : (
              <path
                // biome-ignore lint/suspicious/noArrayIndexKey: parts of a label are only counted
                key={i}
                fill="#000"
                d={part.runs
                  .map(
                    (run) =>
                      `M${part.x + run.from * part.moduleMm} ${part.y + run.row * part.moduleMm}h${(run.to - run.from) * part.moduleMm}v${part.moduleMm * 1.01}h${-(run.to - run.from) * part.moduleMm}z`,
                  )
                  .join('')}
              />
            ),
          )}
        </g>
      ))}
    </svg>
  );
}
