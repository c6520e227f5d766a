import { expect, it } from 'vitest';
import { pageOf, placesOf } from './report';

it('says where it broke and nothing of whom', () => {
  expect(pageOf('/people/s-00112233')).toBe('/people/-');
  expect(pageOf('/ranks/adult/green')).toBe('/ranks/-/-');
  expect(pageOf('/')).toBe('/');
  expect(
    placesOf(
      "TypeError: Ada Quickly's mother is not a function\n" +
        '    at Judge (http://10.0.0.7:8080/assets/Judge-abc123.js:1:2345)\n' +
        '    at http://10.0.0.7:8080/assets/index-77.js:9:1',
    ),
  ).toEqual(['Judge-abc123.js:1:2345', 'index-77.js:9:1']);
});
