/** How far beyond a piece tools can be put to its card; px. The card's edge cuts it off. */
const FAR = 2000;

/** Takes the pointer everywhere on the card, also beside a piece that is smaller. */
export const AnyWhere = () => (
  <rect className="anywhere" x={-FAR} y={-FAR} width={2 * FAR} height={2 * FAR} />
);
