import { readFileSync } from "node:fs";
import { readWeatherCsv } from "~/adapters/weather-csv.server";

/** Real daily weather of Seattle, 2012–2015, as the registry package vega-datasets ships it (NOAA, public domain). */
const read = readWeatherCsv(readFileSync("node_modules/vega-datasets/data/seattle-weather.csv", "utf8"), { wind: "m/s" }); // prettier-ignore
if (read.status !== "read") throw new Error("the Seattle file is read");
export const SEATTLE_DAYS = read.days;
