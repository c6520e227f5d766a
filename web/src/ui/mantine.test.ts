import { expect, it } from 'vitest';
import styles from './mantine.ts?raw';

const sources = import.meta.glob<string>('../**/*.tsx', { query: '?raw', import: 'default', eager: true });
const shipped = Object.keys(import.meta.glob('/node_modules/@mantine/core/styles/*.css'));

it('every part of the library that is used has its styles', () => {
  const used = Object.values(sources).flatMap((text) =>
    [...text.matchAll(/import \{([^}]*)\} from '@mantine\/core'/g)].flatMap(([, names = '']) =>
      names.split(',').map((name) => name.trim()),
    ),
  );
  expect(used).toContain('Button');
  const styled = used.filter((name) => shipped.some((path) => path.endsWith(`/${name}.css`)));
  expect(styled).toContain('Button');
  expect(styled.filter((name) => !styles.includes(`/${name}.css`))).toEqual([]);
});
