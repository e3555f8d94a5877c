import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { mesh } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";

const RADIANS = Math.PI / 180;
const EARTH_KM = 6371;

let coast: Float64Array | undefined;

const onSphere = (latitude: number, longitude: number) => {
  const [p, l] = [latitude * RADIANS, longitude * RADIANS];
  return [Math.cos(p) * Math.cos(l), Math.cos(p) * Math.sin(l), Math.sin(p)] as const;
};

/** Points of the coast, three numbers each: of a public-domain map at 1 : 50 million, read once. */
function coastPoints(): Float64Array {
  if (!coast) {
    const file = createRequire(import.meta.url).resolve("world-atlas/land-50m.json");
    const map = JSON.parse(readFileSync(file, "utf8")) as Topology<{ land: GeometryCollection }>;
    const points = mesh(map).coordinates.flat().filter(([, latitude]) => latitude! > -60); // prettier-ignore
    coast = Float64Array.from(points.flatMap(([longitude, latitude]) => onSphere(latitude!, longitude!)));
  }
  return coast;
}

/** Distance to the nearest coast, km, to some ten kilometres. */
export function seaKmOf(latitude: number, longitude: number): number {
  const points = coastPoints();
  const [x, y, z] = onSphere(latitude, longitude);
  let nearest = -1;
  for (let i = 0; i < points.length; i += 3)
    nearest = Math.max(nearest, points[i]! * x + points[i + 1]! * y + points[i + 2]! * z);
  return Math.round(Math.acos(Math.min(1, nearest)) * EARTH_KM);
}
