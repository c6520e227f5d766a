import { Modal } from '@mantine/core';
import { newId, send } from '../../api/client';
import { type Eyes, type MapIndex, useIgnoredGaps } from '../../api/map';
import type { Finding, IgnoredGap, LadderView } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { Effect } from '../../rank/Effect';
import { nameOf } from '../../rank/nameOf';
import { useSyllabus } from '../../rank/useSyllabus';
import { useNotices } from '../../ui/Notices';
import { Loaded } from '../../ui/States';
import type { useLens } from '../useLens';
import { GapSheet } from './GapSheet';

type Props = {
  map: MapIndex;
  eyes: Eyes;
  ladders: LadderView[];
  shown: ReturnType<typeof useLens>;
  title: string;
  isHead: boolean;
  mend: Finding | null;
  onMend: (finding: Finding | null) => void;
  onSelect: (position: string) => void;
  onClose: () => void;
};

/** The gaps as work: a mend is taken into the rank's syllabus, or a finding is left for a reason. */
export function WorkList({
  map,
  eyes,
  ladders,
  shown,
  title,
  isHead,
  mend,
  onMend,
  onSelect,
  onClose,
}: Props) {
  const changed = useChanged();
  const say = useNotices();
  const ignored = useIgnoredGaps(eyes, true);
  const view = ladders.find((v) => eyes.kind === 'rank' && v.ladder.ranks.some((r) => r.id === eyes.id));
  const rank = view?.ladder.ranks.find((r) => eyes.kind === 'rank' && r.id === eyes.id);
  const syllabus = useSyllabus(view, rank, map);

  const listed = () => {
    void changed('gap');
  };
  const listAgain = async (gap: IgnoredGap) => {
    try {
      await send('DELETE', `/map/gaps/ignored/${gap.id}`);
      listed();
    } catch (error) {
      say.failed(error);
    }
  };
  const leave = async (finding: Finding, reason: string) => {
    const { code, position, technique, reaction } = finding;
    try {
      const gap = await send('POST', '/map/gaps/ignored', {
        id: newId('gap'),
        rank: finding.since ?? (eyes.kind === 'rank' ? eyes.id : null),
        student: eyes.kind === 'student' ? eyes.id : null,
        ...{ code, position, technique, reaction, reason },
      });
      listed();
      say.done('Left as it is, with your reason.', () => listAgain(gap));
    } catch (error) {
      say.failed(error);
    }
  };
  const { asked, confirm, leave: leaveTheRank } = syllabus;
  return (
    <Loaded query={shown.gaps}>
      {(findings) => (
        <>
          {asked && view && rank && (
            <Modal opened onClose={leaveTheRank} withCloseButton={false} size="lg">
              <Effect
                ladder={view.ladder}
                rank={rank.id}
                what={asked.what}
                look={asked.look}
                called={(item) => nameOf(item, map)}
                onKeep={confirm}
                onLeave={leaveTheRank}
              />
            </Modal>
          )}
          <GapSheet
            map={map}
            title={title}
            findings={findings}
            ignored={ignored.data ?? []}
            nameOfRank={(id) => view?.ladder.ranks.find((r) => r.id === id)?.name ?? id}
            shown={mend}
            onShow={onMend}
            onTake={
              isHead && rank
                ? (finding) => {
                    onMend(null);
                    if (finding.mend) syllabus.mend(finding.mend);
                  }
                : undefined
            }
            onLeave={isHead ? leave : undefined}
            onListAgain={isHead ? listAgain : undefined}
            onSelect={onSelect}
            onClose={onClose}
          />
        </>
      )}
    </Loaded>
  );
}
