import { data } from "react-router";

export const loader = () => {
  throw data(
    "There is no page at this address. It may have been mistyped, or what it showed was removed.",
    { status: 404 },
  );
};

export default function Nothing() {
  return null;
}
