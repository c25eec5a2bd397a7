import { createContext } from "react";

/** Whether figures here are told in both units. */
export const BothUnits = createContext(false);
