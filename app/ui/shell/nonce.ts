import { createContext } from "react";

/** The number that lets this answer's scripts run; a browser does not see it again. */
export const Nonce = createContext<string | undefined>(undefined);
