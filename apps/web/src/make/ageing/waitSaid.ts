/** A wait of so many days as people say it: “3 weeks”. */
export const waitSaid = (days: number): string =>
  days < 14
    ? `${Math.ceil(days)} days`
    : days < 90
      ? `${Math.ceil(days / 7)} weeks`
      : `${Math.ceil(days / 30)} months`;
