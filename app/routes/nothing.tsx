import { data } from "react-router";
import { routesWords } from "./words";

export const loader = () => {
  throw data(routesWords.thereNoPageAddress, { status: 404 });
};

export default function Nothing() {
  return null;
}
