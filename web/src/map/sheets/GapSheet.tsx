import { Button, TextInput } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import type { MapIndex } from '../../api/map';
import type { Finding, IgnoredGap } from '../../api/types';
import { Stone } from '../../ui/Stone';
import { count, date } from '../../ui/words';
import sheet from './DecisionSheet.module.css';
import classes from './GapSheet.module.css';
import { busiest, byPosition, keyOf, openSince, type Place } from './gaps';

type Props = {
  map: MapIndex;
  title: string;
  findings: Finding[];
  ignored: IgnoredGap[];
  nameOfRank: (id: string) => string;
  /** The finding whose mend is drawn on the hill. */
  shown: Finding | null;
  onShow: (finding: Finding | null) => void;
  /** Takes a mend into the syllabus; left out where there is none or it is not the coach's to change. */
  onTake?: (finding: Finding) => void;
  /** Leaves a finding as it is, for a reason; left out for those who may not. */
  onLeave?: (finding: Finding, reason: string) => void;
  onListAgain?: (gap: IgnoredGap) => void;
  onSelect: (position: string) => void;
  onClose: () => void;
};

/** What is open as a list of work: place by place, the worst first, each with why it matters and its mend. */
export function GapSheet(props: Props) {
  const { map, title, findings, ignored, nameOfRank, onClose } = props;
  const own = findings.filter((f) => !f.since);
  const places = byPosition(own);
  return (
    <aside className={sheet.sheet} aria-label={`What is open: ${title}`} data-sheet="gaps">
      <h2>{title}</h2>
      <p className="quiet">
        {count(own.length, 'finding', 'findings')} in {count(places.length, 'place', 'places')}, the worst
        first.
      </p>
      <button type="button" className={sheet.close} aria-label="Close the sheet" onClick={onClose}>
        ×
      </button>
      <Places {...props} places={places} />
      {own.length === 0 && <p>Nothing is open here.</p>}
      {openSince(findings).map(({ rank, findings: old }) => (
        <details key={rank} className={classes.since}>
          <summary>
            {count(old.length, 'finding', 'findings')} still open from {nameOfRank(rank)}
          </summary>
          <Places {...props} places={byPosition(old)} />
        </details>
      ))}
      {ignored.length > 0 && (
        <section className={classes.place}>
          <h3>Left as it is</h3>
          <ul>
            {ignored.map((gap) => (
              <li key={gap.id}>
                <div>
                  {map.position.get(gap.position ?? '')?.name ?? map.technique.get(gap.technique ?? '')?.name}
                  : {gap.code.replaceAll('_', ' ').toLowerCase()}
                  <div className="quiet">
                    “{gap.reason}” {gap.by}, {date(gap.at)}
                  </div>
                  {props.onListAgain && (
                    <Button variant="default" size="compact-sm" onClick={() => props.onListAgain?.(gap)}>
                      List it again
                    </Button>
                  )}
                </div>
              </li>
            ))}
          </ul>
        </section>
      )}
    </aside>
  );
}

function Places({ places, ...props }: Props & { places: Place[] }) {
  const { map, onSelect } = props;
  return places.map(({ position, findings: here }) => (
    <section key={position ?? ''} className={classes.place}>
      <h3>
        {position ? (
          <button type="button" className="plain" onClick={() => onSelect(position)}>
            {map.position.get(position)?.name}
          </button>
        ) : (
          'In the order of teaching'
        )}
      </h3>
      {position && <p className={classes.why}>{busiest(map, position)}</p>}
      <ul>
        {here.map((finding) => (
          <Line key={keyOf(finding)} {...props} finding={finding} />
        ))}
      </ul>
    </section>
  ));
}

function Line({ map, finding, shown, onShow, onTake, onLeave }: Props & { finding: Finding }) {
  const [leaving, setLeaving] = useState(false);
  const { mend } = finding;
  const isShown = shown !== null && keyOf(shown) === keyOf(finding);
  return (
    <li>
      <Stone severity={finding.severity} />
      <div>
        {finding.sentence}
        {mend && (
          <p className={classes.mend}>
            {mend.cheapest ? 'Smallest mend' : 'A cheap mend'}:{' '}
            {mend.techniques.map((t) => map.technique.get(t)?.name).join(', ')}{' '}
            <span className="quiet">learn {mend.cost}</span>
          </p>
        )}
        {isShown && mend && (
          <ol className={classes.way}>
            {mend.way.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        )}
        <div className={classes.buttons}>
          {mend && mend.walk.length > 1 && (
            <Small pressed={isShown} onClick={() => onShow(isShown ? null : finding)}>
              {isShown ? 'Off the hill' : 'Show on the hill'}
            </Small>
          )}
          {mend && onTake && (
            <Button size="compact-sm" onClick={() => onTake(finding)}>
              Take it
            </Button>
          )}
          {onLeave && !leaving && <Small onClick={() => setLeaving(true)}>Ignore this …</Small>}
        </div>
        {leaving && onLeave && (
          <Reason onLeave={(reason) => onLeave(finding, reason)} onCancel={() => setLeaving(false)} />
        )}
      </div>
    </li>
  );
}

function Small({
  children,
  pressed,
  onClick,
}: {
  children: ReactNode;
  pressed?: boolean;
  onClick: () => void;
}) {
  return (
    <Button variant="default" size="compact-sm" aria-pressed={pressed} onClick={onClick}>
      {children}
    </Button>
  );
}

function Reason({ onLeave, onCancel }: { onLeave: (reason: string) => void; onCancel: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <form
      className={classes.reason}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) onLeave(reason.trim());
      }}
    >
      <TextInput
        label="Why it stays as it is"
        maxLength={300}
        data-autofocus
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <div className={classes.buttons}>
        <Button type="submit" size="compact-sm" disabled={!reason.trim()}>
          Ignore it
        </Button>
        <Button variant="default" size="compact-sm" onClick={onCancel}>
          Back
        </Button>
      </div>
    </form>
  );
}
