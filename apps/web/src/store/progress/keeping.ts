import type { Tick } from '@fellside/core';

/** Ticks that are not on the server yet are kept in this browser, by piece: a reload or a flat battery loses none. */
const key = (piece: string) => `fellside.ticks.${piece}`;
const DEVICE = 'fellside.device';

export function keptTicks(piece: string): Tick[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key(piece)) ?? '[]');
    return Array.isArray(kept) ? kept.filter(isTick) : [];
  } catch {
    return [];
  }
}

const isTick = (given: Partial<Tick> | null): given is Tick =>
  typeof given?.id === 'string' &&
  typeof given.job === 'string' &&
  typeof given.amount === 'number' &&
  typeof given.at === 'string' &&
  typeof given.device === 'string';

/** Whether they are kept. */
export function keepTicks(piece: string, pending: readonly Tick[]): boolean {
  try {
    if (pending.length > 0) localStorage.setItem(key(piece), JSON.stringify(pending));
    else localStorage.removeItem(key(piece));
    return true;
  } catch {
    // Without a store they live in this page until they are sent.
    return false;
  }
}

/** What this device is called to the others. */
export function deviceName(): string {
  try {
    return localStorage.getItem(DEVICE) || usualName();
  } catch {
    return usualName();
  }
}

export function nameDevice(name: string): void {
  try {
    localStorage.setItem(DEVICE, name.slice(0, 60));
  } catch {
    // The usual name stays.
  }
}

const usualName = (): string =>
  innerWidth < 600 ? 'phone' : matchMedia?.('(pointer: coarse)').matches ? 'tablet' : 'computer';

/** A UUID of version 4; `randomUUID` is not there where the page comes over plain HTTP from another machine. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
