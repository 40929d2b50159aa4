import {
  daysToWait,
  done,
  type Mm,
  mm,
  moistureRange,
  reasonsOf,
  refused,
  type Shop,
  shopSchema,
  weightOver,
} from '@fellside/core';
import { useState } from 'react';
import { ClimateInputs } from '../../shop/ClimateInputs.js';
import { api } from '../../store/api.js';
import { shopOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { LengthField } from '../../ui/LengthField.js';
import { RackWaits } from './RackWaits.js';
import { waitSaid } from './waitSaid.js';

const onePlace = (value: number): string => value.toFixed(1);

/** How dry the boards are and the air over the year, what moisture that is, and how long wet boards have to wait. */
export function RoomPanel() {
  const shop = useApp(shopOf);
  const [setShop, { isError }] = api.useSetShopMutation();
  const [thickness, setThickness] = useState<Mm>(mm(25.4));
  const { climate } = shop.workshop;
  const { dry, damp } = moistureRange(climate);
  const middle = (dry + damp) / 2;
  const days = daysToWait(climate.boardsPercent, middle, thickness);
  const change = (next: Shop['workshop']['climate']) => {
    const read = shopSchema.safeParse({ ...shop, workshop: { ...shop.workshop, climate: next } });
    if (!read.success) return refused(...reasonsOf(read.error));
    void setShop(read.data);
    return done(null);
  };
  return (
    <>
      <h2 className="mb-1 font-semibold">Wood and room over the year</h2>
      <div className="grid grid-cols-2 items-end gap-2 lg:grid-cols-1">
        <ClimateInputs climate={climate} change={change} />
      </div>
      {isError && (
        <p role="alert" className="text-sm text-rust">
          The server is away; it is not kept.
        </p>
      )}
      <p className="mt-2 text-sm">
        In that air wood comes to <b>{onePlace(dry)} %</b> when it is driest and <b>{onePlace(damp)} %</b>{' '}
        when it is dampest.
      </p>
      <h2 className="mt-4 mb-1 font-semibold">Boards that wait</h2>
      <RackWaits />
      <LengthField
        label="Thickness of a board"
        value={thickness}
        onChange={(next) => {
          if (next <= 0)
            return refused({ code: 'web:thickness', path: '', message: 'A board is thicker than 0.' });
          setThickness(next);
          return done(null);
        }}
      />
      <p className="mt-1 text-sm" role="status">
        {days === 0
          ? `At ${onePlace(climate.boardsPercent)} % it is near enough to the room’s ${onePlace(middle)} %.`
          : `From ${onePlace(climate.boardsPercent)} % it takes about ${waitSaid(days)}, stacked with air round it, to come within 1 % of the room’s ${onePlace(middle)} %; it then weighs ${Math.round(100 * weightOver(middle, climate.boardsPercent))} % of what it does now. Weigh it every week: when that no longer changes it is there.`}
      </p>
    </>
  );
}
