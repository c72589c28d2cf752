import { useCallback } from "react";
import type { Variant } from "#core/project";
import { useSettings } from "../../services/settings";
import { useSession } from "../context";

/** Shows the project in a theme in which there is something to see; as it is shown now for none. */
export const useEnterTheme = (): ((theme: Variant | undefined) => void) => {
  const { id } = useSession();
  const setTheme = useSettings((s) => s.setTheme);
  return useCallback((theme) => theme && setTheme(id, theme), [id, setTheme]);
};
