import type { Remote } from "comlink";
import type { ReadTokens, TokenFile, WrittenFile } from "#core/formats/tokens";
import type { Project } from "#core/project";
import type { TokenWorker } from "../../workers/tokens";
import { apart } from "./apart";

const inWorker = <T>(task: (tokens: Remote<TokenWorker>) => Promise<T>): Promise<T> =>
  apart(new Worker(new URL("../../workers/tokens.ts", import.meta.url), { type: "module" }), task);

/** Reads token files, whatever is in them. */
export const readTokenFiles = (files: readonly TokenFile[]): Promise<ReadTokens> =>
  inWorker((tokens) => tokens.readTokens(files));

/** All tokens of a project as files of the Design Tokens Format. */
export const writeTokenFiles = (project: Project): Promise<readonly WrittenFile[]> =>
  inWorker((tokens) => tokens.writeTokens(project));

/** All tokens of a project as a style sheet. */
export const styleSheetOf = (project: Project, language: "css" | "scss"): Promise<string> =>
  inWorker((tokens) => (language === "css" ? tokens.cssOf(project) : tokens.scssOf(project)));
