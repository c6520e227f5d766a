import { describe, expect, it } from 'vitest';
import { csv } from './sheet';
import { MOST_VIEWS, storedViews, storeViews, withView } from './views';

const storage = () => {
  let kept: string | null = null;
  return {
    getItem: () => kept,
    setItem: (_: string, value: string) => {
      kept = value;
    },
  };
};

describe('kept views', () => {
  it('come back, replace their namesake and are few', () => {
    const store = storage();
    expect(storedViews(store)).toEqual([]);
    const one = withView([{ name: 'Juniors', query: 'track=juniors' }], {
      name: 'Juniors',
      query: 'track=j2',
    });
    storeViews(one, store);
    expect(storedViews(store)).toEqual([{ name: 'Juniors', query: 'track=j2' }]);
    const many = Array.from({ length: 20 }, (_, n) => ({ name: `v${n}`, query: '' })).reduce(withView, one);
    expect(many).toHaveLength(MOST_VIEWS);
    expect(many.at(-1)?.name).toBe('v19');
  });

  it('survive what somebody else wrote there', () => {
    const store = storage();
    store.setItem('', '{"no":1}');
    expect(storedViews(store)).toEqual([]);
    store.setItem('', 'nonsense');
    expect(storedViews(store)).toEqual([]);
  });
});

describe('a sheet', () => {
  it('is read as it was meant by any spreadsheet', () => {
    expect(
      csv([
        ['Name', 'kg'],
        ['Vale, "Kit"', 61.5],
        ['=1+1', null],
      ]),
    ).toBe('\ufeffName,kg\r\n"Vale, ""Kit""",61.5\r\n\'=1+1,\r\n');
  });
});
