import { useElementSize } from '@mantine/hooks';
import { NavLink, useLocation } from 'react-router';
import { nth } from '../ui/lists';
import classes from './Rail.module.css';
import { SECTIONS } from './sections';

const TOP = 64;
const RISE = 76;

/** The tread of a step: how far it juts out, and how high it lies. */
const tread = (i: number, height: number) => ({
  out: 62 + i * 8,
  y: i === SECTIONS.length - 1 ? Math.max(TOP + RISE * i, height - 60) : TOP + RISE * i,
});

/** Earth steps going down the hillside: the soil lies to the left, each section stands on its tread. */
export function Rail() {
  const { ref, height } = useElementSize();
  const { pathname } = useLocation();
  const steps = SECTIONS.map((_, i) => tread(i, height));
  let soil = `M0 ${TOP}`;
  steps.forEach((step, i) => {
    soil += `L${step.out} ${step.y}l3 5`;
    const next = steps[i + 1];
    soil += next ? `L${step.out + 3} ${next.y - 2}` : `L${step.out + 3} ${height}`;
  });
  return (
    <nav className={classes.rail} ref={ref} aria-label="Sections">
      {height > 0 && (
        <svg className={classes.soil} width="104" height={height} aria-hidden="true">
          <path d={`${soil}L0 ${height}z`} className={classes.earth} />
          {steps.map((step, i) => {
            const isHere = pathname.startsWith(nth(SECTIONS, i).path);
            const from = i === 0 ? 0 : nth(steps, i - 1).out + 3;
            const blades = Array.from(
              { length: 14 },
              (_, k) => `M${4 + k * 7} ${step.y}l2 -${4 + ((k * 5) % 4)}`,
            )
              .filter((_, k) => 4 + k * 7 >= (isHere ? 0 : from) && 4 + k * 7 < step.out)
              .join('');
            return (
              <g key={nth(SECTIONS, i).path} className={isHere ? classes.here : undefined}>
                <path d={blades} className={classes.grass} />
                {isHere && <path d={`M0 ${step.y}H${step.out}`} className={classes.turf} />}
              </g>
            );
          })}
        </svg>
      )}
      {SECTIONS.map((section, i) => (
        <NavLink
          key={section.path}
          to={section.path}
          className={({ isActive }) => (isActive ? `${classes.step} ${classes.active}` : classes.step)}
          style={{ top: nth(steps, i).y - 52 }}
        >
          {section.name}
        </NavLink>
      ))}
    </nav>
  );
}
