import { z } from "zod";

/** As KeyboardEvent.key says it (UI Events): "Enter", "ArrowRight", "a". */
export const key = { key: z.string().min(1).max(40) };
