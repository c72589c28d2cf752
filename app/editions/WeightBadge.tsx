import { Badge } from "react-bootstrap";
import type { Weight } from "#core/system";
import { editionsWords } from "./words";

/** How much something asks of those who use a system. */
export const WeightBadge = ({ weight }: { readonly weight: Weight }) => (
  <Badge bg="" className={`weight ${weight}`}>
    {editionsWords.weights[weight]}
  </Badge>
);
