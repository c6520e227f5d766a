import { expect, it } from 'vitest';
import type { Name } from '../../api/types';
import { alike } from './alike';

const named = (name: string): Name => ({
  id: name,
  name,
  calledBy: name,
  card: null,
  tracks: [],
  limits: [],
  step: null,
  guest: null,
});
const people = ['Ada Quickly', 'Émile Thorn', 'Bo Lindale', 'Ada Lindale'].map(named);
const found = (typed: string) => alike(typed, people).map((p) => p.name);

it('finds somebody who is here already, in any order, without marks, with a slip', () => {
  expect(found('Ada Quickly')).toEqual(['Ada Quickly']);
  expect(found('quickly ada')).toEqual(['Ada Quickly']);
  expect(found('Emile Thorn')).toEqual(['Émile Thorn']);
  expect(found('Ada Quickley')).toEqual(['Ada Quickly']);
  expect(found('Ada Qickly')).toEqual(['Ada Quickly']);
  expect(found('Bo Lindall')).toEqual(['Bo Lindale']);
});

it('leaves those alone who share one name, and waits for the second word', () => {
  expect(found('Ada')).toEqual([]);
  expect(found('Ada Thorn')).toEqual([]);
  expect(found('Al Lindale'), 'short words do not slip').toEqual([]);
});
