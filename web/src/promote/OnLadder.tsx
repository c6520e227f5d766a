import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { useLadders } from '../api/ladders';
import type { Ladder } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Empty, Loaded } from '../ui/States';

type Props = {
  title: string;
  /** What goes here once there is a ladder. */
  about: string;
  children: (ladder: Ladder) => ReactNode;
};

/** A page about the ladder that its address names, else about the first one. */
export function OnLadder({ title, about, children }: Props) {
  const ladders = useLadders();
  const [params] = useSearchParams();
  return (
    <Loaded query={ladders}>
      {(views) => {
        const named = views.find((one) => one.ladder.id === params.get('ladder')) ?? views[0];
        return named ? (
          children(named.ladder)
        ) : (
          <>
            <PageHead title={title} />
            <Empty title="No ladder yet" steps={[{ label: 'Make one', to: '/ranks/new' }]}>
              {about}
            </Empty>
          </>
        );
      }}
    </Loaded>
  );
}
