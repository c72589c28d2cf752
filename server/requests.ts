import { z } from "zod";
import { changeSchema } from "#core/project";

const id = z.string().regex(/^[A-Za-z0-9_-]{6,40}$/);

/** What a window sends to have a change kept. */
export const appendRequest = z.strictObject({ changeId: id, clientId: id, since: z.int().min(0), change: changeSchema });

/** What the form for a new project sends. */
export const newProjectRequest = z.object({ name: z.string().trim().min(1, "Give the project a name.").max(120, "A name can have at most 120 characters.") });
