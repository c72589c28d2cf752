import { ComponentPage } from "../../library/component/ComponentPage";
import type { Route } from "./+types/component";

/** All there is to know about a component. */
export default function ComponentRoute({ params }: Route.ComponentProps) {
  return <ComponentPage key={params.componentId} id={params.componentId} />;
}
