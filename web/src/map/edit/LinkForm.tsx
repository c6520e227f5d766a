import { MultiSelect, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { type MapIndex, useFitting, useMapPart } from '../../api/queries';
import type { Link } from '../../api/types';
import { Loaded } from '../../ui/States';
import { plain } from '../../ui/words';
import { blankLink } from './blanks';
import { EditForm } from './EditForm';
import { freeId } from './fields';
import { Rows } from './Lists';
import { linkOptions, positionOptions, techniqueOptions } from './pickers';

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
const none = null as unknown as string;

function Form({ map, opened, onDone, onCancel }: Props & { opened: { value: Link; tag: string | null } }) {
  const [{ link, tag }, set] = useState({ link: opened.value, tag: opened.tag });
  const change = (next: Partial<Link>) => set({ tag, link: { ...link, ...next } });
  const fitting = useFitting(link.from, link.technique || null);
  const technique = map.technique.get(link.technique);
  const isNew = tag === null;
  const answered = link.when ? map.reaction.get(link.when) : undefined;
  const draft = isNew
    ? { ...link, id: freeId(`${link.technique}-from-${link.from}`, (id) => map.link.has(id)) }
    : link;
  const name = technique?.name ?? 'The link';
  return (
    <EditForm
      title={isNew ? (answered ? 'A new answer' : 'A new link') : `Change ${name}`}
      place="links"
      draft={draft}
      tag={tag}
      done={`${name} saved.`}
      retired={`${name} retired from here.`}
      onTheirs={(theirs, theirTag) => set({ link: theirs, tag: theirTag })}
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
        value={link.technique || null}
        onChange={(value) => change({ technique: value ?? '', version: none })}
      />
      <Select
        label="Leads to"
        searchable
        data={positionOptions(map, fitting.data?.targets, true)}
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
          onChange={(value) => change({ version: value ?? none })}
        />
      )}
      <Select
        label="Half works: lands at"
        placeholder="Nowhere of its own"
        clearable
        searchable
        data={positionOptions(map)}
        value={link.partial}
        onChange={(value) => change({ partial: value ?? none })}
      />
      <Select
        label="Fails: leaves me at"
        placeholder="Where I was"
        clearable
        searchable
        data={positionOptions(map)}
        value={link.ifStopped}
        onChange={(value) => change({ ifStopped: value ?? none })}
      />
      <Rows
        label="Needs"
        rows={link.needs}
        blank={() => ({ kind: 'GRIP', text: '', madeBy: none }) as Link['needs'][number]}
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
              onChange={(value) => put({ ...need, madeBy: value ?? none })}
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
        value={link.note ?? ''}
        onChange={(event) => change({ note: event.currentTarget.value || none })}
      />
    </EditForm>
  );
}
