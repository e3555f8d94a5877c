import { createContext } from "react";
import type { HorizonView } from "~/views/horizon/horizon-view";

/** What all rows of the board share. */
export const BoardContext = createContext<Pick<HorizonView, "bands" | "units">>({ bands: [], units: "metric" });
