import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { matchPath, Navigate, Route, Routes, useLocation } from 'react-router';
import { LastSession, useWelcome } from './api/club';
import type { Session } from './api/types';
import { Frame } from './frame/Frame';
import { TypedBefore } from './frame/TypedBefore';
import { SignIn } from './session/SignIn';
import { Boundary, Failed, Waiting } from './ui/States';

const MapPage = lazy(() => import('./map/MapPage').then((m) => ({ default: m.MapPage })));
const ListPage = lazy(() => import('./map/ListPage').then((m) => ({ default: m.ListPage })));
const TechniquePage = lazy(() =>
  import('./map/card/TechniquePage').then((m) => ({ default: m.TechniquePage })),
);
const ChainsPage = lazy(() => import('./chain/ChainsPage').then((m) => ({ default: m.ChainsPage })));
const ChainEditorPage = lazy(() =>
  import('./chain/ChainEditor').then((m) => ({ default: m.ChainEditorPage })),
);
const RoundsPage = lazy(() => import('./round/RoundsPage').then((m) => ({ default: m.RoundsPage })));
const RanksPage = lazy(() => import('./rank/RanksPage').then((m) => ({ default: m.RanksPage })));
const LadderPage = lazy(() => import('./rank/LadderPage').then((m) => ({ default: m.LadderPage })));
const VersionsPage = lazy(() => import('./rank/VersionsPage').then((m) => ({ default: m.VersionsPage })));
const RankPage = lazy(() => import('./rank/RankPage').then((m) => ({ default: m.RankPage })));
const TermPage = lazy(() => import('./term/TermPage').then((m) => ({ default: m.TermPage })));
const CyclePage = lazy(() => import('./term/cycle/CyclePage').then((m) => ({ default: m.CyclePage })));
const TermForm = lazy(() => import('./term/TermForm').then((m) => ({ default: m.TermFormPage })));
const WeekSheet = lazy(() => import('./term/WeekSheet').then((m) => ({ default: m.WeekSheet })));
const MatPage = lazy(() => import('./mat/class/MatPage').then((m) => ({ default: m.MatPage })));
const MetPage = lazy(() => import('./term/MetPage').then((m) => ({ default: m.MetPage })));
const TonightPage = lazy(() => import('./mat/tonight/TonightPage').then((m) => ({ default: m.TonightPage })));
const WallPage = lazy(() => import('./mat/pair/WallPage').then((m) => ({ default: m.WallPage })));
const SheetPage = lazy(() => import('./mat/plan/SheetPage').then((m) => ({ default: m.SheetPage })));
const PlanPage = lazy(() => import('./mat/plan/PlanPage').then((m) => ({ default: m.PlanPage })));
const CardsPage = lazy(() => import('./mat/class/CardsPage').then((m) => ({ default: m.CardsPage })));
const OffPage = lazy(() => import('./mat/week/OffPage').then((m) => ({ default: m.OffPage })));
const WeekPage = lazy(() => import('./mat/week/WeekPage').then((m) => ({ default: m.WeekPage })));
const PeoplePage = lazy(() => import('./people/roster/PeoplePage').then((m) => ({ default: m.PeoplePage })));
const ErasePage = lazy(() => import('./people/person/ErasePage').then((m) => ({ default: m.ErasePage })));
const FallsPage = lazy(() => import('./people/safety/FallsPage').then((m) => ({ default: m.FallsPage })));
const FaultsPage = lazy(() => import('./people/faults/FaultsPage').then((m) => ({ default: m.FaultsPage })));
const ProgressSheet = lazy(() =>
  import('./people/student/ProgressSheet').then((m) => ({ default: m.ProgressSheet })),
);
const BoardPage = lazy(() => import('./promote/BoardPage').then((m) => ({ default: m.BoardPage })));
const ChartsPage = lazy(() => import('./promote/ChartsPage').then((m) => ({ default: m.ChartsPage })));
const SlipsPage = lazy(() => import('./promote/SlipsPage').then((m) => ({ default: m.SlipsPage })));
const IncidentsPage = lazy(() =>
  import('./people/safety/IncidentsPage').then((m) => ({ default: m.IncidentsPage })),
);
const IncidentPage = lazy(() =>
  import('./people/safety/IncidentPage').then((m) => ({ default: m.IncidentPage })),
);
const PersonPage = lazy(() => import('./people/person/PersonPage').then((m) => ({ default: m.PersonPage })));
const StudentPage = lazy(() =>
  import('./people/student/StudentPage').then((m) => ({ default: m.StudentPage })),
);
const SignInAgain = lazy(() => import('./session/SignInAgain').then((m) => ({ default: m.SignInAgain })));
const Enter = lazy(() => import('./session/Enter').then((m) => ({ default: m.Enter })));
const HousePage = lazy(() => import('./house/HousePage').then((m) => ({ default: m.HousePage })));
const ClubRoom = lazy(() => import('./house/ClubRoom').then((m) => ({ default: m.ClubRoom })));
const ExchangeRoom = lazy(() => import('./house/ExchangeRoom').then((m) => ({ default: m.ExchangeRoom })));
const AccountsRoom = lazy(() => import('./house/AccountsRoom').then((m) => ({ default: m.AccountsRoom })));
const TracksRoom = lazy(() => import('./house/TracksRoom').then((m) => ({ default: m.TracksRoom })));
const LettersRoom = lazy(() => import('./house/LettersRoom').then((m) => ({ default: m.LettersRoom })));
const TabletsRoom = lazy(() => import('./house/TabletsRoom').then((m) => ({ default: m.TabletsRoom })));
const CopiesRoom = lazy(() => import('./house/CopiesRoom').then((m) => ({ default: m.CopiesRoom })));
const NumbersRoom = lazy(() => import('./house/NumbersRoom').then((m) => ({ default: m.NumbersRoom })));
const RulesRoom = lazy(() => import('./rules/RulesRoom').then((m) => ({ default: m.RulesRoom })));
const LibraryRoom = lazy(() => import('./house/LibraryRoom').then((m) => ({ default: m.LibraryRoom })));

/** What starts over at another address: every screen, but somebody's page stays as it is for the next one's. */
const screenOf = (pathname: string) => (matchPath('/people/:id', pathname) ? '/people/:id' : pathname);

export function App() {
  const welcome = useWelcome();
  const client = useQueryClient();
  const { pathname } = useLocation();
  const [was, setWas] = useState<Session | null>(null);
  const signedIn = welcome.data?.session ?? null;
  if (signedIn && signedIn !== was) setWas(signedIn);
  useEffect(() => {
    const out = () => client.invalidateQueries({ queryKey: ['session'] });
    window.addEventListener('signed-out', out);
    return () => window.removeEventListener('signed-out', out);
  }, [client]);

  if (!welcome.data)
    return welcome.error ? (
      <Failed error={welcome.error} retry={() => welcome.refetch()} />
    ) : (
      <Waiting height="90vh" />
    );
  if (pathname === '/enter')
    return (
      <Suspense fallback={<Waiting height="90vh" />}>
        <Enter welcome={welcome.data} />
      </Suspense>
    );
  const session = signedIn ?? was;
  if (!session) return <SignIn welcome={welcome.data} />;
  return (
    <LastSession value={session}>
      <Frame session={session}>
        {!signedIn && (
          <Suspense>
            <SignInAgain welcome={welcome.data} was={session} />
          </Suspense>
        )}
        <TypedBefore />
        <Boundary screen={pathname}>
          <Suspense fallback={<Waiting height="80vh" />}>
            <Routes key={screenOf(pathname)}>
              <Route path="/map" element={<MapPage />} />
              <Route path="/map/list" element={<ListPage />} />
              <Route path="/map/techniques/:id" element={<TechniquePage />} />
              <Route path="/chains" element={<ChainsPage />} />
              <Route path="/chains/:id" element={<ChainEditorPage />} />
              <Route path="/ranks" element={<RanksPage />} />
              <Route path="/ranks/:ladder" element={<LadderPage />} />
              <Route path="/ranks/:ladder/versions" element={<VersionsPage />} />
              <Route path="/ranks/:ladder/:rank" element={<RankPage />} />
              <Route path="/term" element={<TermPage />} />
              <Route path="/term/terms/:id" element={<TermForm />} />
              <Route path="/term/cycles/:id" element={<CyclePage />} />
              <Route path="/term/week" element={<WeekSheet />} />
              <Route path="/term/:id/met" element={<MetPage />} />
              <Route path="/term/:id" element={<TermPage />} />
              <Route path="/mat" element={<MatPage />} />
              <Route path="/mat/week" element={<WeekPage />} />
              <Route path="/mat/:id/off" element={<OffPage />} />
              <Route path="/mat/:id/plan" element={<PlanPage />} />
              <Route path="/mat/:id/tonight" element={<TonightPage />} />
              <Route path="/mat/:id/wall" element={<WallPage />} />
              <Route path="/mat/:id/sheet" element={<SheetPage />} />
              <Route path="/mat/:id/cards" element={<CardsPage />} />
              <Route path="/mat/:id" element={<MatPage />} />
              <Route path="/people" element={<PeoplePage />} />
              <Route path="/people/faults" element={<FaultsPage />} />
              <Route path="/people/falls" element={<FallsPage />} />
              <Route path="/people/promotions" element={<BoardPage />} />
              <Route path="/people/promotions/slips" element={<SlipsPage />} />
              <Route path="/people/charts" element={<ChartsPage />} />
              <Route path="/people/incidents" element={<IncidentsPage />} />
              <Route path="/people/incidents/:id" element={<IncidentPage />} />
              <Route path="/people/new" element={<PersonPage />} />
              <Route path="/people/:id/change" element={<PersonPage />} />
              <Route path="/people/:id/data" element={<ErasePage />} />
              <Route path="/people/:id/sheet" element={<ProgressSheet />} />
              <Route path="/people/:id" element={<StudentPage />} />
              <Route path="/rounds" element={<RoundsPage />} />
              <Route path="/house" element={<HousePage />}>
                <Route index element={<ClubRoom />} />
                <Route path="tracks" element={<TracksRoom />} />
                <Route path="accounts" element={<AccountsRoom />} />
                <Route path="tablets" element={<TabletsRoom />} />
                <Route path="letters" element={<LettersRoom />} />
                <Route path="numbers" element={<NumbersRoom />} />
                <Route path="rules" element={<RulesRoom />} />
                <Route path="rules/:rules" element={<RulesRoom />} />
                <Route path="copies" element={<CopiesRoom />} />
                <Route path="exchange" element={<ExchangeRoom />} />
                <Route path="library" element={<LibraryRoom />} />
              </Route>
              <Route path="*" element={<Navigate to="/map" replace />} />
            </Routes>
          </Suspense>
        </Boundary>
      </Frame>
    </LastSession>
  );
}
