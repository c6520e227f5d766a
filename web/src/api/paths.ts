import type { paths } from './generated';

/** A path of the API with anything in the place of its parameters: `/people/{id}/game` is `/people/${string}/game`. */
type Filled<P extends string> = P extends `${infer Before}{${string}}${infer After}`
  ? `${Before}${string}${Filled<After>}`
  : P;

type Under<K> = K extends `/api${infer P}` ? P : never;

/** The path of the document that an address is one of, its query left out. */
type PathOf<A extends string> = A extends `${infer Path}?${string}`
  ? PathOf<Path>
  : {
      [K in keyof paths]: A extends Filled<Under<K>> ? (Filled<Under<K>> extends A ? K : never) : never;
    }[keyof paths];

type Content<R> = R extends { content: infer C } ? C[keyof C] : undefined;

type Answers<O> = O extends { responses: infer R }
  ? { [S in keyof R]: S extends 200 | 201 | 202 | 204 ? Content<R[S]> : never }[keyof R]
  : never;

type Method = 'get' | 'post' | 'put' | 'delete';

export type Write = 'POST' | 'PUT' | 'DELETE';

/** What the server answers at an address, as its document says; unknown: it knows no such address. */
export type Answer<A extends string, M extends Method = 'get'> = [PathOf<A>] extends [never]
  ? unknown
  : Answers<paths[PathOf<A>][M]>;
