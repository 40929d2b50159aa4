import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { LONG, watchHeld } from './held.js';

let stop: () => void;
let heard: string[];
let row: HTMLElement;

beforeEach(() => {
  vi.useFakeTimers();
  stop = watchHeld(document);
  document.body.innerHTML =
    '<div data-held="adds"><p id="row">ring</p><input id="field"><i role="slider" id="handle"></i></div><p id="other">text</p>';
  row = document.getElementById('row')!;
  heard = [];
  for (const name of ['click', 'contextmenu', 'pointercancel'])
    document.body.addEventListener(name, (event) =>
      heard.push(`${name}${(event as MouseEvent).ctrlKey ? ' with Ctrl' : ''}`),
    );
});
afterEach(() => {
  stop();
  document.body.replaceWith(document.createElement('body'));
  vi.useRealTimers();
});

const pointer = (target: Element, name: string, x = 0, type = 'touch') =>
  target.dispatchEvent(
    Object.assign(new MouseEvent(name, { bubbles: true, clientX: x }), { pointerType: type }),
  );
const click = (target: Element) => target.dispatchEvent(new MouseEvent('click', { bubbles: true }));

it('a finger held still ends its stroke and is a click with Ctrl; the click at its end is none, the next is one', () => {
  pointer(row, 'pointerdown');
  vi.advanceTimersByTime(LONG + 1);
  expect(heard).toEqual(['pointercancel', 'contextmenu', 'click with Ctrl']);
  pointer(row, 'pointerup');
  click(row);
  expect(heard).toHaveLength(3);
  pointer(row, 'pointerdown');
  pointer(row, 'pointerup');
  click(row);
  vi.advanceTimersByTime(2 * LONG);
  expect(heard.slice(3)).toEqual(['click']);
});

it('one that moves, lets go early, or is joined by a second is none; nor is a mouse that is held', () => {
  pointer(row, 'pointerdown');
  pointer(row, 'pointermove', 30);
  vi.advanceTimersByTime(2 * LONG);
  pointer(row, 'pointerdown');
  pointer(row, 'pointerup');
  vi.advanceTimersByTime(2 * LONG);
  pointer(row, 'pointerdown');
  pointer(row, 'pointerdown', 60);
  vi.advanceTimersByTime(2 * LONG);
  pointer(row, 'pointerup');
  pointer(row, 'pointerdown', 0, 'mouse');
  vi.advanceTimersByTime(2 * LONG);
  expect(heard).toEqual([]);
});

it('elsewhere the second button stays what it is, and what made something of it is not asked twice', () => {
  const menu = (target: Element) => {
    const event = new MouseEvent('contextmenu', { bubbles: true, cancelable: true });
    target.dispatchEvent(event);
    return event.defaultPrevented;
  };
  expect(menu(document.getElementById('other')!)).toBe(false);
  expect(menu(row)).toBe(true);
  expect(heard).toEqual(['contextmenu', 'contextmenu', 'click with Ctrl']);
  // A field in a row keeps its menu, and a handle that is held its drag.
  for (const id of ['field', 'handle']) {
    const own = document.getElementById(id)!;
    expect(menu(own)).toBe(false);
    pointer(own, 'pointerdown');
    vi.advanceTimersByTime(2 * LONG);
    pointer(own, 'pointerup');
    expect(heard.splice(3)).toEqual(['contextmenu']);
  }
  row.addEventListener('contextmenu', (event) => event.preventDefault());
  menu(row);
  expect(heard.slice(3)).toEqual(['contextmenu']);
});
