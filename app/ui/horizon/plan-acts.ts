import { createContext, useContext } from "react";

/** Acts on the plan that the rows of the board offer. */
export interface PlanActs {
  act: (fields: Record<string, string>) => void;
  isBusy: boolean;
}

export const PlanActsContext = createContext<PlanActs>({ act: () => undefined, isBusy: false });

export const usePlanActs = (): PlanActs => useContext(PlanActsContext);
