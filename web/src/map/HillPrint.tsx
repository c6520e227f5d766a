import { useMemo } from 'react';
import type { MapIndex } from '../api/map';
import { across, rowsOf, settle } from '../hill/place';
import { nth } from '../ui/lists';
import { PrintFoot } from '../ui/PrintFoot';
import { plain, STAGES } from '../ui/words';
import classes from './HillPrint.module.css';

/** A landscape page, in pixels. */
const WIDTH = 980;
const MARGIN = 70;
const LINE = 30;

/** Letters of the print are about as wide as this; a label is a little wider than its letters. */
const labelWidth = (name: string) => Math.ceil(name.length * 6.2) + 14;

/** The hill on paper: a page a terrace, each plot at its control. It is seen in print only. */
export function HillPrint({ map }: { map: MapIndex }) {
  const rows = useMemo(() => {
    const plots = [...map.position.values()]
      .filter((p) => !p.retired)
      .map((p) => ({
        id: p.id,
        mirror: map.counterpart(p.id),
        stage: map.stageOf(p.id),
        control: p.control,
        width: labelWidth(p.name),
      }));
    return rowsOf(plots, STAGES, WIDTH, MARGIN);
  }, [map]);
  return (
    <div className={classes.print}>
      {STAGES.filter((stage) => rows.some((row) => row.stage === stage)).map((stage) => {
        const here = rows.filter((row) => row.stage === stage);
        return (
          <section key={stage} className={classes.page}>
            <h2>{plain(stage)}</h2>
            <div className={classes.ground} style={{ width: WIDTH, height: here.length * LINE + 22 }}>
              {[-3, -2, -1, 0, 1, 2, 3].map((control) => (
                <span
                  key={control}
                  className={classes.grade}
                  style={{ left: across(control, WIDTH, MARGIN) }}
                >
                  {control === -3 ? 'they lead' : control === 3 ? 'we lead' : control === 0 ? 'even' : ''}
                </span>
              ))}
              {here.flatMap((row, r) => {
                const centres = settle(row.plots, WIDTH, MARGIN);
                return row.plots.map((plot, i) => (
                  <span
                    key={plot.id}
                    className={classes.plot}
                    style={{ left: nth(centres, i) - plot.width / 2, top: 22 + r * LINE, width: plot.width }}
                  >
                    {map.position.get(plot.id)?.name}
                  </span>
                ));
              })}
            </div>
            <PrintFoot />
          </section>
        );
      })}
    </div>
  );
}
