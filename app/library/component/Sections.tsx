import type { ReactNode } from "react";
import { libraryWords } from "../words";

type Section = keyof typeof libraryWords.sections;

interface Props<S extends Section> {
  readonly order: readonly S[];
  readonly parts: Readonly<Record<S, ReactNode>>;
}

/** Parts of a component's page below one another, each under its heading. */
export const Sections = <S extends Section>({ order, parts }: Props<S>) => (
  <div className="component-sections">
    {order.map((section) => (
      <section key={section} aria-labelledby={section}>
        <h2 id={section}>{libraryWords.sections[section]}</h2>
        {parts[section]}
      </section>
    ))}
  </div>
);
