import { useElementSize } from '@mantine/hooks';
import type { MapIndex } from '../api/map';
import type { Chain, ChainStep, Stage } from '../api/types';
import { nth } from '../ui/lists';
import { plain, STAGES } from '../ui/words';
import classes from './Drawing.module.css';
import { mainTurn, type Path } from './tree';

type Node = {
  key: string;
  name: string;
  stage: Stage;
  column: number;
  row: number;
  from?: string;
  label: string;
  reaction?: string;
};

const ROW = 100;
const BAND_TOP = 30;
const BOX = 36;
/** Height of a place reached through a reaction, which stands in it. */
const TURNED_BOX = 66;

/** Steps as places on the hill: the main line straight down, each turn-off in a column of its own. */
function nodesOf(map: MapIndex, chain: Chain, labels: Map<string, string>): Node[] {
  const nodes: Node[] = [];
  const lastRow = new Map<string, number>();
  let columns = 0;
  const place = (node: Omit<Node, 'row'>, parent?: Node) => {
    const slot = `${node.stage} ${node.column}`;
    const own = (lastRow.get(slot) ?? -1) + 1;
    const below = parent && parent.stage === node.stage ? parent.row + 1 : 0;
    const row = Math.max(own, below);
    lastRow.set(slot, row);
    const placed = { ...node, row };
    nodes.push(placed);
    return placed;
  };
  const stageOf = (id: string): Stage => (id === 'TAP' ? 'FINISH' : map.stageOf(id));
  const start = place({
    key: 'start',
    name: map.position.get(chain.start)?.name ?? '',
    stage: stageOf(chain.start),
    column: 0,
    label: '',
  });
  const visit = (step: ChainStep, path: Path, column: number, parent: Node, reaction?: string) => {
    const to = map.link.get(step.link)?.to ?? chain.start;
    const node = place(
      {
        key: path.join('.') || 'first',
        name: to === 'TAP' ? 'Tap' : (map.position.get(to)?.name ?? to),
        stage: stageOf(to),
        column,
        from: parent.key,
        label: labels.get(path.join('.')) ?? '',
        reaction: reaction && map.reaction.get(reaction)?.text,
      },
      parent,
    );
    const main = mainTurn(step);
    if (main >= 0) visit(nth(step.next, main).step, [...path, main], column, node);
    step.next.forEach((turn, i) => {
      if (turn.reaction) {
        columns += 1;
        visit(turn.step, [...path, i], columns, parent, turn.reaction);
      }
    });
  };
  if (chain.first) visit(chain.first as ChainStep, [], 0, start);
  return nodes;
}

const tall = (node: Node) => (node.reaction ? TURNED_BOX : BOX);

export function Drawing({
  map,
  chain,
  labels,
}: {
  map: MapIndex;
  chain: Chain;
  labels: Map<string, string>;
}) {
  const { ref, width, height } = useElementSize();
  const nodes = nodesOf(map, chain, labels);
  const columns = Math.max(...nodes.map((n) => n.column)) + 1;
  const columnWidth = Math.max(142, (Math.max(width, 300) - 12) / columns);
  const stages = STAGES.filter((stage) => nodes.some((n) => n.stage === stage));
  const tops = new Map<Stage, number>();
  let y = 0;
  for (const stage of stages) {
    tops.set(stage, y);
    const rows = Math.max(...nodes.filter((n) => n.stage === stage).map((n) => n.row)) + 1;
    y += BAND_TOP + rows * ROW;
  }
  const at = (node: Node) => ({
    x: columnWidth * (node.column + 0.5),
    y: (tops.get(node.stage) ?? 0) + BAND_TOP + 8 + node.row * ROW,
  });
  const byKey = new Map(nodes.map((n) => [n.key, n]));
  const totalWidth = Math.max(width, columnWidth * columns);
  const boxWidth = columnWidth - 16;
  return (
    <div ref={ref} className={classes.field}>
      <svg
        width={totalWidth}
        height={Math.max(y, height - 4)}
        role="img"
        aria-label={`Drawing of ${chain.name}`}
      >
        {stages.map((stage) => (
          <g key={stage}>
            <rect
              y={tops.get(stage)}
              width={totalWidth}
              height={2000}
              fill={`var(--terrace-${STAGES.indexOf(stage)})`}
            />
            <text
              x={totalWidth - 12}
              y={(tops.get(stage) ?? 0) + 20}
              textAnchor="end"
              className={classes.stage}
            >
              {plain(stage)}
            </text>
          </g>
        ))}
        {nodes.map((node) => {
          const parent = node.from && byKey.get(node.from);
          if (!parent) return null;
          const a = at(parent);
          const b = at(node);
          const climbs = b.y < a.y;
          const start = climbs ? a.y : a.y + tall(parent);
          const end = climbs ? b.y + tall(node) : b.y;
          const down = climbs ? -1 : 1;
          const turned = `C${a.x} ${start + 18 * down} ${b.x} ${start} ${b.x} ${start + 30 * down}L${b.x} ${end}`;
          const straight = `C${a.x} ${(start + end) / 2} ${b.x} ${(start + end) / 2} ${b.x} ${end}`;
          return (
            <g key={`way ${node.key}`}>
              <path
                d={`M${a.x} ${start}${node.reaction ? turned : straight}`}
                className={node.reaction ? classes.turnOff : classes.main}
              />
              <circle cx={b.x} cy={end + (climbs ? 14 : -14)} r="13" className={classes.disc} />
              <text x={b.x} y={end + (climbs ? 18.5 : -9.5)} textAnchor="middle" className={classes.number}>
                {node.label}
              </text>
            </g>
          );
        })}
        {nodes.map((node) => {
          const { x, y: top } = at(node);
          return (
            <foreignObject key={node.key} x={x - boxWidth / 2} y={top} width={boxWidth} height={tall(node)}>
              <div className={classes.box}>
                {node.reaction && <span className={classes.reaction}>if {node.reaction}</span>}
                {node.name}
              </div>
            </foreignObject>
          );
        })}
      </svg>
    </div>
  );
}
