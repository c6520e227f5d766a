import { Button } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useSession } from '../../api/club';
import { type MapIndex, useMap, useTechniqueCard } from '../../api/map';
import type { TechniqueCard } from '../../api/types';
import { blankTechnique } from '../../form/blanks';
import { History } from '../../form/History';
import { PageHead } from '../../frame/PageHead';
import { PrintFoot } from '../../ui/PrintFoot';
import { Scroll } from '../../ui/Scroll';
import { Loaded, Waiting } from '../../ui/States';
import { CardView } from './CardView';
import classes from './TechniquePage.module.css';

/** A card is read far more often than it is changed. */
const CardForm = lazy(() => import('./CardForm').then((m) => ({ default: m.CardForm })));
const MergeForm = lazy(() => import('./MergeForm').then((m) => ({ default: m.MergeForm })));

type Doing = 'reading' | 'changing' | 'merging' | 'history';

/** One technique on one page: read, printed, and changed where it stands. */
export function TechniquePage() {
  const { id } = useParams();
  const map = useMap();
  const isNew = id === 'new';
  const card = useTechniqueCard(isNew ? undefined : id);
  if (isNew)
    return (
      <Loaded query={map}>
        {(index) => (
          <Opened map={index} card={{ technique: blankTechnique(), cautions: [], uses: [] }} tag={null} />
        )}
      </Loaded>
    );
  return (
    <Loaded query={map}>
      {(index) => (
        <Loaded query={card}>
          {({ value, tag }) => <Opened key={value.technique.id} map={index} card={value} tag={tag} />}
        </Loaded>
      )}
    </Loaded>
  );
}

function Opened({ map, card, tag }: { map: MapIndex; card: TechniqueCard; tag: string | null }) {
  const { technique } = card;
  const navigate = useNavigate();
  const session = useSession();
  const [params, setParams] = useSearchParams();
  const [doing, setDoing] = useState<Doing>(tag === null ? 'changing' : 'reading');
  const isHead = session.data?.role === 'HEAD';
  const back = () => (window.history.length > 1 ? navigate(-1) : navigate('/map'));
  const version = params.get('version');
  return (
    <>
      <PageHead title={technique.name || 'A new technique'}>
        <Button variant="default" onClick={back} data-no-print>
          Back
        </Button>
        {doing === 'reading' && (
          <Button variant="default" onClick={() => window.print()} data-no-print>
            Print
          </Button>
        )}
        {doing === 'reading' && isHead && !technique.retired && (
          <>
            <Button variant="default" onClick={() => setDoing('changing')} data-no-print>
              Change
            </Button>
            <Button variant="default" onClick={() => setDoing('merging')} data-no-print>
              Merge
            </Button>
          </>
        )}
        {doing === 'reading' && (
          <Button variant="default" onClick={() => setDoing('history')} data-no-print>
            History
          </Button>
        )}
      </PageHead>
      <Scroll label={`Card: ${technique.name}`} className={classes.body}>
        {technique.retired && <p className={classes.retired}>Retired: it is no longer offered.</p>}
        {doing === 'reading' && (
          <CardView
            map={map}
            card={card}
            version={version}
            onVersion={(next) => setParams(next ? { version: next } : {}, { replace: true })}
          />
        )}
        <Suspense fallback={<Waiting />}>
          {doing === 'changing' && (
            <CardForm
              map={map}
              technique={technique}
              tag={tag}
              onDone={(kept) =>
                tag === null ? navigate(`/map/techniques/${kept}`, { replace: true }) : setDoing('reading')
              }
              onCancel={() => (tag === null ? back() : setDoing('reading'))}
            />
          )}
          {doing === 'merging' && (
            <MergeForm
              map={map}
              technique={technique}
              onDone={(into) => navigate(`/map/techniques/${into}`, { replace: true })}
              onCancel={() => setDoing('reading')}
            />
          )}
        </Suspense>
        {doing === 'history' && (
          <section className={classes.narrow} aria-label="History">
            <h2>History of {technique.name}</h2>
            <History kind="technique" id={technique.id} canUndo={isHead} />
            <Button variant="default" onClick={() => setDoing('reading')}>
              Back to the card
            </Button>
          </section>
        )}
        <PrintFoot />
      </Scroll>
    </>
  );
}
