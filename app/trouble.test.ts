import { type DataStrategyResult, data, UNSAFE_ErrorResponseImpl as ErrorResponse } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { keepsPage, show } from './trouble.ts';

const complain = vi.hoisted(() => vi.fn<(words: string) => void>());
vi.mock('./parts/notices.tsx', () => ({ complain }));

type Results = Record<string, DataStrategyResult>;
const ended = (path: string, results: Results, method = 'GET'): Promise<unknown> => {
  const request = new Request(`http://here${path}`, { method });
  return Promise.resolve(keepsPage({ request } as never, async () => results));
};
const error = (result: unknown): DataStrategyResult => ({ type: 'error', result });
const unanswered = error(new TypeError('Failed to fetch'));
/** As React Router gives it of what was to change something. */
const unansweredChange = error(data(new TypeError('Failed to fetch'), undefined));

beforeEach(() => {
  complain.mockReset();
  show({ address: '/books?sort=title', given: new Map([['books', { rows: [1] }]]) });
});

describe('a request without an answer', () => {
  it('leaves the page with what it was given, and says so', async () => {
    expect(await ended('/books?sort=title', { books: unanswered })).toEqual({
      books: { type: 'data', result: { rows: [1] } },
    });
    expect(complain).toHaveBeenCalledExactlyOnceWith(
      expect.stringMatching(/^The server cannot be reached\..* Try again\.$/),
    );
  });

  it('that was to change something leaves the page, and is answered by nothing', async () => {
    expect(await ended('/words', { words: unansweredChange }, 'POST')).toEqual({
      words: { type: 'data', result: undefined },
    });
    expect(complain).toHaveBeenCalledExactlyOnceWith(
      expect.stringMatching(/^The server cannot be reached\./),
    );
  });

  it('for another page is told by that page', async () => {
    expect(await ended('/books?sort=words', { books: unanswered })).toEqual({ books: unanswered });
    expect(complain).not.toHaveBeenCalled();
  });

  it('leaves alone what came, and a route that is new on the page', async () => {
    const came: DataStrategyResult = { type: 'data', result: { rows: [2] } };
    const results = { books: came, other: unanswered };
    expect(await ended('/books?sort=title', results)).toEqual(results);
    expect(complain).not.toHaveBeenCalled();
  });
});

describe('an answer', () => {
  it.each([
    ['no longer there', new ErrorResponse(404, 'Not Found', null)],
    ['refused', new ErrorResponse(403, 'Forbidden', null)],
    ['elsewhere', new Response(null, { status: 302, headers: { location: '/sign-in' } })],
    ['given up', new DOMException('The user left.', 'AbortError')],
  ])('that says something is %s is taken', async (_, result) => {
    const results = { books: error(result) };
    expect(await ended('/books?sort=title', results, 'POST')).toEqual(results);
    expect(complain).not.toHaveBeenCalled();
  });

  it.each([
    ['an error of the server', new Error('Unexpected Server Error')],
    ['a gateway', new ErrorResponse(502, 'Bad Gateway', '')],
  ])('of %s leaves the page', async (_, result) => {
    expect(await ended('/words', { words: error(result) }, 'POST')).toEqual({
      words: { type: 'data', result: undefined },
    });
    expect(complain).toHaveBeenCalledExactlyOnceWith(expect.stringMatching(/^Something went wrong\./));
  });
});

describe('a page without notices', () => {
  it('says itself what is wrong', async () => {
    complain.mockImplementation(() => {
      throw new TypeError('Nothing shows notices.');
    });
    const results = { 'sign-in': unansweredChange };
    expect(await ended('/sign-in', { ...results }, 'POST')).toEqual(results);
  });
});
