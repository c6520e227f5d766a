import { plain } from '../ui/words';
import classes from './Hillside.module.css';
import type { Terrace } from './lay';

/** A steady number from 0 to 1 for a place on the hill, so that the grass grows the same on every screen. */
const grain = (n: number) => {
  const x = Math.sin(n * 127.1) * 43758.5453;
  return x - Math.floor(x);
};

function edge(width: number, y: number, seed: number): string {
  const points = Array.from({ length: Math.ceil(width / 40) + 1 }, (_, i) => {
    const lift = (grain(seed * 31 + i) - 0.5) * 6;
    return `${i * 40},${(y + lift).toFixed(1)}`;
  });
  return points.join(' ');
}

function grass(width: number, y: number, seed: number): string {
  return Array.from({ length: Math.floor(width / 13) }, (_, i) => {
    const x = i * 13 + grain(seed + i) * 9;
    const h = 5 + grain(seed * 7 + i) * 6;
    return `M${x.toFixed(1)} ${y + 5}l${(1 + grain(i) * 2).toFixed(1)} -${h.toFixed(1)}`;
  }).join('');
}

/** The soil of the hillside: a terrace for each stage, grass along its lip. */
export function Terraces({
  terraces,
  width,
  height,
}: {
  terraces: Terrace[];
  width: number;
  height: number;
}) {
  return (
    <svg className={classes.soil} width={width} height={height} aria-hidden="true">
      {terraces.map((terrace, i) => {
        const lip = i === 0 ? 0 : terrace.top;
        return (
          <g key={terrace.stage}>
            <polygon
              points={`${edge(width + 40, lip, i)} ${width + 40},${height} 0,${height}`}
              fill={`var(--terrace-${['APART', 'GRIPPED', 'HALF_DOWN', 'LEGS_BETWEEN', 'LEGS_CLEARED', 'FINISH'].indexOf(terrace.stage)})`}
            />
            {i > 0 && <path d={grass(width, lip, i)} stroke="var(--grass)" strokeWidth="1" fill="none" />}
          </g>
        );
      })}
      {terraces
        .filter((terrace) => !terrace.fold)
        .map((terrace) => (
          <text
            key={terrace.stage}
            x="12"
            y={terrace.top + (terrace === terraces[0] ? 3 : 15)}
            className={classes.stage}
          >
            {plain(terrace.stage)}
          </text>
        ))}
    </svg>
  );
}
