import { COLOURS, pathData } from '@ample/core/out';
import { middleOfEdge } from '@ample/core/in/tracing';
import { ROLE_WORDS } from '@ample/core/words';
import { tracedOf, useImport } from '../../store/import.ts';
import type { Traced } from '@ample/core/in/tracing';
import type { TracedEdge } from '@ample/core/in/tracing';
import type { Tool } from '../../store/import.ts';

/** The piece being made, on the lines it is made of: seam line, corners, darts, marks, what each edge is. */
export function PickedPiece({ k }: { readonly k: number }) {
  const picked = useImport((s) => s.picked);
  const choices = useImport((s) => s.choices);
  const chosen = useImport((s) => s.chosenEdge);
  const tool = useImport((s) => s.tool);
  const traced = tracedOf({ picked, choices });
  if (!picked || !traced || !choices) return null;
  const px = (n: number): number => n / k;
  return (
    <g>
      <path
        d={pathData(picked.ring.path, true)}
        fill={COLOURS.tissue}
        fillOpacity={0.75}
        stroke={COLOURS.ink}
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
        pointerEvents="none"
      />
      {traced.edges.map((e, i) => (
        <PickedEdge key={i} index={i} edge={e} chosen={chosen} tool={tool} />
      ))}
      {traced.darts.map((d, i) => (
        <path
          key={i}
          d={`M${d.one.x} ${d.one.y}L${d.tip.x} ${d.tip.y}L${d.two.x} ${d.two.y}`}
          fill="none"
          stroke={COLOURS.carbon}
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      ))}
      {traced.grain && (
        <path
          d={`M${traced.grain.from.x} ${traced.grain.from.y}L${traced.grain.to.x} ${traced.grain.to.y}`}
          stroke={COLOURS.ink}
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      )}
      <PickedPlaces traced={traced} px={px} />
    </g>
  );
}

function PickedEdge({
  index,
  edge,
  chosen,
  tool,
}: {
  readonly index: number;
  readonly edge: TracedEdge;
  readonly chosen: number | null;
  readonly tool: Tool;
}) {
  return (
    <g>
      <path
        d={pathData(edge.path)}
        fill="none"
        stroke={index === chosen ? COLOURS.pencil : edge.fold ? COLOURS.ink : COLOURS.carbon}
        strokeWidth={index === chosen ? 4 : 2}
        strokeDasharray={edge.fold ? '10 4 2 4' : undefined}
        vectorEffect="non-scaling-stroke"
        pointerEvents="none"
      />
      {tool === 'edge' && (
        <path
          d={pathData(edge.path)}
          fill="none"
          stroke="transparent"
          strokeWidth={22}
          vectorEffect="non-scaling-stroke"
          className="cursor-pointer"
          data-handle=""
          data-edge={index}
          onClick={(event) => {
            event.stopPropagation();
            useImport.setState({ chosenEdge: index });
          }}
        />
      )}
    </g>
  );
}

function PickedPlaces({ traced, px }: { readonly traced: Traced; readonly px: (n: number) => number }) {
  return (
    <g pointerEvents="none">
      {traced.corners.map((p, i) => (
        <rect
          key={i}
          x={p.x - px(4)}
          y={p.y - px(4)}
          width={px(8)}
          height={px(8)}
          fill={COLOURS.white}
          stroke={COLOURS.ink}
          strokeWidth={px(1.5)}
        />
      ))}
      {traced.notches.map((n, i) => (
        <path
          key={i}
          d={`M${n.at.x - px(6)} ${n.at.y}L${n.at.x} ${n.at.y - px(8)}L${n.at.x + px(6)} ${n.at.y}Z`}
          fill={COLOURS.brass}
        />
      ))}
      {traced.bustPoint && (
        <path
          d={`M${traced.bustPoint.x - px(8)} ${traced.bustPoint.y}h${px(16)}M${traced.bustPoint.x} ${traced.bustPoint.y - px(8)}v${px(16)}`}
          stroke={COLOURS.pencil}
          strokeWidth={px(2.5)}
        />
      )}
      {traced.edges.map((e, i) => {
        if (e.role === 'dart') return null;
        const m = middleOfEdge(e);
        return (
          <text
            key={i}
            x={m.x}
            y={m.y}
            textAnchor="middle"
            fontSize={px(15)}
            fill={COLOURS.ink}
            stroke={COLOURS.white}
            strokeWidth={px(4)}
            paintOrder="stroke"
          >
            {ROLE_WORDS[e.role]}
            {e.fold ? ', fold' : ''}
          </text>
        );
      })}
    </g>
  );
}
