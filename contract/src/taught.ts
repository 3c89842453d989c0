/** Keys of figures that a bench teaches, by which they can be set aside. */
export const passesKey = (lineId: string): string => `passes ${lineId}`;
