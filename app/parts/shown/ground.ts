import { groundOf } from "#core/checks";
import { useDisplayedProject } from "../../session/displayed";

/** What components are shown on: as the screens of the project are filled, in the shown theme. */
export const useGround = (): { readonly background: string } => ({
  background: useDisplayedProject(groundOf),
});
