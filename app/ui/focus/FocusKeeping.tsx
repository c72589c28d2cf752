import { useEffect } from "react";
import { keepFocus } from "./keep";
import { enterMenus } from "./menus";

/** What keeps the focus where one expects it, on every page. */
export const FocusKeeping = () => {
  useEffect(keepFocus, []);
  useEffect(enterMenus, []);
  return null;
};
