/** Days to maturity as the packet has them. */
export interface PacketDays {
  low: number;
  high: number;
}

const FORMS = [
  /\(?\b(\d{2,3})\s*(?:-|–|to)\s*(\d{2,3})\s*-?\s*(?:days?|d)\b(?!\s*(?:ago|old|back))(?:\s*(?:to (?:maturity|harvest|first pick)|packet|on the packet|from \w+(?: out)?|crop|maturity))*\)?/i,
  /\(?(?:packet|maturity|matures in|dtm|days to maturity|harvest in|ready in)\s*:?\s*(\d{2,3})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:days?)?\)?/i,
  /\(?\b(\d{2,3})\s*-?\s*days?\b(?!\s*(?:ago|old|back))(?:\s*(?:to (?:maturity|harvest|first pick)|packet|on the packet|crop|maturity|variety))*\)?/i,
  /\(?\b(\d{2,3})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:dtm|d\.?t\.?m\.?)(?!\w)\)?/i,
];

/** Takes the packet's days out of a line: "60-90 days", "packet 65 days", "75 DTM". Days ago are none. */
export function takePacket(line: string): { packet: PacketDays | null; rest: string } {
  for (const form of FORMS) {
    const found = form.exec(line);
    if (!found) continue;
    const low = Number(found[1]);
    const high = found[2] === undefined ? low : Number(found[2]);
    if (low < 10 || high < low || high > 900) continue;
    return { packet: { low, high }, rest: `${line.slice(0, found.index)} | ${line.slice(found.index + found[0].length)}` }; // prettier-ignore
  }
  return { packet: null, rest: line };
}
