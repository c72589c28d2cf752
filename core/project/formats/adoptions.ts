import type { FormatStep } from "./step";

/**
 * From format 3 to 4: projects adopt editions of systems, and what is adopted is called in a way
 * that what knows no adoptions cannot read.
 */
export const projectsAdopt: FormatStep = (ops) => ops;
