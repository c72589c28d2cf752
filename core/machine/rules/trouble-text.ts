import { troubleWords } from "../words";
import type { Trouble } from "./trouble";

/** Why a rule does not work, in words that go on after "because". */
export const troubleText = ([what, name = ""]: Trouble): string => troubleWords[what](name);
