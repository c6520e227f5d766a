import { Select, Textarea, TextInput } from '@mantine/core';
import type { MapIndex } from '../../api/map';
import type { Technique, Version } from '../../api/types';
import { freeId } from '../../form/fields';
import { Rows } from '../../form/Lists';
import { useErrorAt } from '../../form/useDraft';
import { plain } from '../../ui/words';
import { FaultRows, StepRows } from './CardRows';

const PURPOSES = ['TEACHING', 'GRADING', 'COMPETITION'] as const;

type Props = { map: MapIndex; card: Technique; onChange: (next: Partial<Technique>) => void };

/** The ways of doing it, and which of them the house teaches. The first one added is the house version. */
export function VersionRows({ map, card, onChange }: Props) {
  const error = useErrorAt();
  const put = (versions: Version[]) => {
    const stays = versions.some((v) => v.id === card.houseVersion);
    onChange({ versions, houseVersion: stays ? card.houseVersion : (versions[0]?.id ?? null) });
  };
  const blank = (): Version => ({
    id: freeId(`version-${card.versions.length + 1}`, (id) => card.versions.some((v) => v.id === id)),
    name: '',
    purpose: 'TEACHING',
    because: '',
    steps: [],
    faults: [],
    needs: [],
  });
  return (
    <>
      <Rows
        label="Versions"
        at="versions"
        rows={card.versions}
        blank={blank}
        onChange={put}
        add="Add a version"
      >
        {(version, change, n) => (
          <>
            <TextInput
              aria-label={`Version ${n + 1}: name`}
              placeholder="What this way is called"
              error={error(`versions.${n}.name`)}
              value={version.name}
              onChange={(event) => change({ ...version, name: event.currentTarget.value })}
            />
            <Select
              aria-label={`Version ${n + 1}: purpose`}
              data={PURPOSES.map((p) => ({ value: p, label: `For ${plain(p).toLowerCase()}` }))}
              value={version.purpose}
              allowDeselect={false}
              onChange={(value) => change({ ...version, purpose: value as (typeof PURPOSES)[number] })}
            />
            <Textarea
              aria-label={`Version ${n + 1}: who prefers it, and why`}
              placeholder="Who prefers it, and why"
              error={error(`versions.${n}.because`)}
              autosize
              value={version.because}
              onChange={(event) => change({ ...version, because: event.currentTarget.value })}
            />
            <StepRows
              label={`Steps of version ${n + 1}`}
              at={`versions.${n}.steps`}
              steps={version.steps}
              onChange={(steps) => change({ ...version, steps })}
            />
            <FaultRows
              map={map}
              label={`Faults of version ${n + 1}`}
              at={`versions.${n}.faults`}
              faults={version.faults}
              onChange={(faults) => change({ ...version, faults })}
            />
          </>
        )}
      </Rows>
      {card.versions.length > 0 && (
        <Select
          label="The house version"
          data={card.versions.map((v) => ({ value: v.id, label: v.name || v.id }))}
          value={card.houseVersion}
          allowDeselect={false}
          onChange={(value) => value && onChange({ houseVersion: value })}
        />
      )}
    </>
  );
}
