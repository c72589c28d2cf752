/** Whether nobody answered: browsers throw this then, and nothing else. */
export const isAway = (error: unknown): boolean => error instanceof TypeError;
