export { COLOURS, ink, type ColourName } from "./colours";
export { system } from "./theme";
