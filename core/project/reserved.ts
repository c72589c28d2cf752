/** Names every object has by itself: as ids they would be found in tables that do not hold them. */
export const isReserved = (name: string): boolean => name in Object.prototype;
