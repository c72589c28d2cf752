import { useEffect } from "react";
import { keepFocus } from "./focus";

/** Keeps the focus from falling to the page, on every page. */
export const KeepFocus = () => {
  useEffect(keepFocus, []);
  return null;
};
