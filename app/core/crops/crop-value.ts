/** One value of a crop, as it is shown and changed. */
export interface CropValue {
  /** Where it stands in the crop's data. */
  path: string[];
  /** Which part of the page it belongs to. */
  part: "days and sizes" | "life" | "picking" | "weather" | "after" | "cues";
  label: string;
  unit: string;
  value: string | number | boolean | null;
  kind: "number" | "text" | "yes or no" | readonly string[];
  standing: string;
}
