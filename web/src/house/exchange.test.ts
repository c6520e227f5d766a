import { expect, it } from 'vitest';
import { isArchive, likelySheet } from './exchange';

const sheet = (head: string) => new File([`${head}\nrow,technique,class\n`], 'sheet.csv');

it('judges a sheet by its columns, not by what stands below them', async () => {
  expect(await likelySheet(sheet('Name;Born'))).toBe('roster');
  expect(await likelySheet(sheet('student,class'))).toBe('attendance');
  expect(await likelySheet(sheet('Student,Technique,Passed'))).toBe('marks');
  expect(await likelySheet(new File([''], 'empty.csv'))).toBe('roster');
});

it('tells a club from a sheet', () => {
  expect(isArchive(new File([''], 'CLUB.JSON'))).toBe(true);
  expect(isArchive(new File([''], 'json.csv'))).toBe(false);
});
