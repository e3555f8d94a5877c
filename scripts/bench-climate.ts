import { climateWorth } from "./climate-worth";

/** Each place of the climate table drawn from all the others. Last line: one JSON object. */
const round = (worth: object) => Object.fromEntries(Object.entries(worth).map(([k, v]) => [k, Number((v as number).toPrecision(3))])); // prettier-ignore
console.log("places that the likeness was not tuned on:", JSON.stringify(round(climateWorth((i) => i % 2 === 1))));
console.log(JSON.stringify({ bench: "climate", ...round(climateWorth()) }));
