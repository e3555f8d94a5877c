/** The dates of a plan: `dateFrom` and `dateTo` as its model has them; kg that can wait, and that wait before the first. */
export interface KitchenDates {
  horizon: number;
  dateFrom: Int32Array;
  dateTo: Int32Array;
  fridge: { holds: number; taken: number };
}

/**
 * The kitchen over the days: what it does not deal with on its date waits in the fridge, and is dealt with on the next
 * date that has time for it. Keeps its scratch: one store is asked many times.
 */
export class KitchenStore {
  /** Kg that one more pick may bring on each day; every entry of a date the same. */
  readonly room: Float64Array;
  /** Kg that wait at the end of each date, on its first entry. */
  private readonly waits: Float64Array;

  constructor(private readonly dates: KitchenDates) {
    this.room = new Float64Array(dates.horizon);
    this.waits = new Float64Array(dates.horizon);
  }

  /**
   * Reckons the room.
   *
   * @param left - kg that the kitchen could still deal with on each date, below 0 where more comes; on its first entry
   * @returns the first day by whose end the fridge is too full; −1 where what comes fits
   */
  reckon(left: Float64Array): number {
    const { waits, room } = this;
    const { horizon: H, fridge, dateFrom, dateTo } = this.dates;
    let tooFull = -1;
    let waiting = fridge.taken;
    for (let t = 0; t < H; t = dateTo[t]!) {
      waiting = Math.max(0, waiting - left[t]!);
      waits[t] = waiting;
      if (waiting > fridge.holds + 1e-9 && tooFull < 0) tooFull = t;
    }
    // What is put in is carried on from date to date until one has time for it.
    let onward = Infinity;
    for (let t = dateFrom[H - 1]!; ; t = dateFrom[t - 1]!) {
      const idle = Math.max(0, left[t]! - (t > 0 ? waits[dateFrom[t - 1]!]! : fridge.taken));
      onward = idle + Math.min(fridge.holds - waits[t]!, onward);
      room.fill(onward, t, dateTo[t]!);
      if (t === 0) return tooFull;
    }
  }
}
