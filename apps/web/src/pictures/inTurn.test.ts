import { describe, expect, it } from 'vitest';
import { inTurn } from './inTurn.js';

describe('pictures fetched in turn', () => {
  it('two at a time, in the order they came; who leaves gives the turn on, once', () => {
    const went: string[] = [];
    const done = ['a', 'b', 'c', 'd', 'e'].map((name) => inTurn(() => went.push(name)));
    expect(went).toEqual(['a', 'b']);
    done[3]!();
    done[0]!();
    done[0]!();
    expect(went).toEqual(['a', 'b', 'c']);
    done[1]!();
    expect(went).toEqual(['a', 'b', 'c', 'e']);
    for (const end of done) end();
    const free = [inTurn(() => went.push('f')), inTurn(() => went.push('g'))];
    expect(went.slice(4)).toEqual(['f', 'g']);
    for (const end of free) end();
  });
});
