import { MultiSelect, Select, Textarea, TextInput } from '@mantine/core';
import { type MapIndex, useFitting, useMapPart } from '../../api/map';
import type { Link } from '../../api/types';
import { blankLink } from '../../form/blanks';
import { EditForm } from '../../form/EditForm';
import { freeId } from '../../form/fields';
import { Rows } from '../../form/Lists';
import { lacking, needed } from '../../form/limits';
import { linkOptions, positionOptions, techniqueOptions } from '../../form/pickers';
import { type Opened, useDraft } from '../../form/useDraft';
import { Loaded } from '../../ui/States';
import { plain } from '../../ui/words';

type Props = {
  map: MapIndex;
  /** The link to change; null: a new one. */
  link: string | null;
  from: string;
  /** The reaction that a new one answers. */
  when: string | null;
  onDone: () => void;
  onCancel: () => void;
};

/** A link: what is done from here, and where it leads. What fits is offered first. */
export function LinkForm(props: Props) {
  const kept = useMapPart<Link>('links', props.link);
  if (props.link === null)
    return <Form {...props} opened={{ value: blankLink(props.from, props.when), tag: null }} />;
  return <Loaded query={kept}>{(opened) => <Form {...props} opened={opened} />}</Loaded>;
}

const NEEDS = ['GRIP', 'ANGLE', 'WEIGHT', 'DISTANCE', 'TIMING'] as const;
const MEANT = ['SAME', 'OPPOSITE', 'PARTNER_TALLER', 'PARTNER_SHORTER', 'PARTNER_HEAVIER', 'PARTNER_LIGHTER'];

const wrong = (link: Link) => ({
  ...needed(link, { technique: 'Which technique is it done with?', to: 'Where does it lead?' }),
  ...lacking('needs', link.needs, { text: 'Say what is needed, or take the need out.' }),
});

function Form({ map, opened, onDone, onCancel }: Props & { opened: Opened<Link> }) {
  const draft = useDraft(opened, 'Link', wrong);
  const { value: link, isNew, change, error } = draft;
  const fitting = useFitting(link.from, link.technique || null);
  const technique = map.technique.get(link.technique);
  const answered = link.when ? map.reaction.get(link.when) : undefined;
  const body = isNew
    ? { ...link, id: freeId(`${link.technique}-from-${link.from}`, (id) => map.link.has(id)) }
    : link;
  const name = technique?.name ?? 'The link';
  return (
    <EditForm
      title={isNew ? (answered ? 'A new answer' : 'A new link') : `Change ${name}`}
      place="links"
      draft={draft}
      body={body}
      done={`${name} saved.`}
      retired={`${name} retired from here.`}
      onDone={onDone}
      onCancel={onCancel}
    >
      <p className="quiet">
        From {map.position.get(link.from)?.name}
        {answered ? `, when ${answered.text}` : ', on my own initiative'}.
      </p>
      <Select
        label="Technique"
        searchable
        data={techniqueOptions(map, fitting.data?.techniques)}
        error={error('technique')}
        value={link.technique || null}
        onChange={(value) => change({ technique: value ?? '', version: null })}
      />
      <Select
        label="Leads to"
        searchable
        data={positionOptions(map, fitting.data?.targets, true)}
        error={error('to')}
        value={link.to || null}
        onChange={(value) => change({ to: value ?? '' })}
      />
      {technique && technique.versions.length > 0 && (
        <Select
          label="In the version"
          placeholder="Any"
          clearable
          data={technique.versions.map((v) => ({ value: v.id, label: v.name }))}
          value={link.version}
          onChange={(value) => change({ version: value })}
        />
      )}
      <Select
        label="Half works: lands at"
        placeholder="Nowhere of its own"
        clearable
        searchable
        data={positionOptions(map)}
        value={link.partial}
        onChange={(value) => change({ partial: value })}
      />
      <Select
        label="Fails: leaves me at"
        placeholder="Where I was"
        clearable
        searchable
        data={positionOptions(map)}
        value={link.ifStopped}
        onChange={(value) => change({ ifStopped: value })}
      />
      <Rows
        label="Needs"
        rows={link.needs}
        blank={() => ({ kind: 'GRIP' as const, text: '', madeBy: null })}
        onChange={(needs) => change({ needs })}
        add="Add a need"
      >
        {(need, put, n) => (
          <>
            <Select
              aria-label={`Kind of need ${n + 1}`}
              data={NEEDS.map((k) => ({ value: k, label: plain(k) }))}
              value={need.kind}
              allowDeselect={false}
              onChange={(value) => put({ ...need, kind: value as (typeof NEEDS)[number] })}
            />
            <TextInput
              aria-label={`Need ${n + 1} in words`}
              placeholder="their far sleeve"
              error={error(`needs.${n}.text`)}
              value={need.text}
              onChange={(event) => put({ ...need, text: event.currentTarget.value })}
            />
            <Select
              aria-label={`Link that makes need ${n + 1}`}
              placeholder="Made by no link in particular"
              clearable
              searchable
              limit={40}
              data={linkOptions(map)}
              value={need.madeBy}
              onChange={(value) => put({ ...need, madeBy: value })}
            />
          </>
        )}
      </Rows>
      <MultiSelect
        label="Meant for"
        placeholder={link.meantFor.length ? '' : 'Everybody'}
        data={MEANT.map((m) => ({ value: m, label: plain(m) }))}
        value={link.meantFor}
        onChange={(value) => change({ meantFor: value as Link['meantFor'] })}
      />
      <Textarea
        label="Note"
        autosize
        error={error('note')}
        value={link.note ?? ''}
        onChange={(event) => change({ note: event.currentTarget.value || null })}
      />
    </EditForm>
  );
}
