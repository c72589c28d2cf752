import type { Id } from "../../basics";
import { restOf, tokenValue } from "../../looks";
import { same } from "../../project";
import type { Adoption, Project, Theme, Token, TraitValue } from "../../project";
import type { Asset } from "../../properties";
import { made } from "../differences";
import type { Difference } from "../differences";
import { systemWords } from "../words";
import { ownRecords } from "../../world";
import { compareTables } from "./tables";

const fullName = ({ group, name }: Token): string => (group === "" ? name : `${group}/${name}`);

const isDeprecated = ({ deprecated = false }: Token): boolean => deprecated !== false;

const themed = ({ looks = {} }: Token): unknown =>
  Object.values(looks)
    .map(({ when, value }) => ({ when, value }))
    .sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1));

const tokenDifferences = (
  tokens: readonly [Project["tokens"], Project["tokens"]],
  was: Token,
  is: Token,
): Difference[] => {
  const subject = { table: "tokens", id: is.id } as const;
  const name = fullName(is);
  if (was.type !== is.type)
    return [made("token-type", { subject }, systemWords.tokenType(name, was.type, is.type))];
  const [before, after] = [tokenValue(tokens[0], was.id), tokenValue(tokens[1], is.id)];
  return [
    ...(fullName(was) === name
      ? []
      : [made("token-renamed", { subject }, systemWords.tokenRenamed(fullName(was), name))]),
    ...(same(before, after)
      ? []
      : [made("token-value", { subject }, systemWords.tokenValue(name))]),
    ...(same(themed(was), themed(is))
      ? []
      : [made("token-themes", { subject }, systemWords.tokenThemes(name))]),
    ...(!isDeprecated(was) && isDeprecated(is)
      ? [made("token-deprecated", { subject }, systemWords.tokenDeprecated(name))]
      : []),
    ...((was.about ?? "") === (is.about ?? "")
      ? []
      : [made("token-about", { subject }, systemWords.tokenAbout(name))]),
  ];
};

const ofTokens = (before: Project, after: Project): Difference[] => {
  const { gone, added, both } = compareTables<Token>(
    ownRecords(before.tokens),
    ownRecords(after.tokens),
  );
  const of = (id: Id) => ({ subject: { table: "tokens", id } }) as const;
  return [
    ...gone.map((t) => made("token-removed", of(t.id), systemWords.tokenRemoved(fullName(t)))),
    ...added.map((t) => made("token-added", of(t.id), systemWords.tokenAdded(fullName(t)))),
    ...both.flatMap(([was, is]) => tokenDifferences([before.tokens, after.tokens], was, is)),
  ];
};

const themeDifferences = (was: Theme, is: Theme): Difference[] => {
  const subject = { table: "themes", id: is.id } as const;
  const { gone, added, both } = compareTables<TraitValue>(was.values, is.values);
  const named = (theme: Theme, id: Id): string => theme.values[id]?.name ?? "";
  const [before, after] = [restOf(was), restOf(is)];
  return [
    ...(was.name === is.name
      ? []
      : [made("theme-renamed", { subject }, systemWords.themeRenamed(was.name, is.name))]),
    ...(before === after
      ? []
      : [
          made(
            "theme-starts",
            { subject },
            systemWords.themeStarts(is.name, named(was, before), named(is, after)),
          ),
        ]),
    ...gone.map((v) =>
      made(
        "theme-value-removed",
        { subject, value: v.id },
        systemWords.themeValueRemoved(is.name, v.name),
      ),
    ),
    ...added.map((v) =>
      made(
        "theme-value-added",
        { subject, value: v.id },
        systemWords.themeValueAdded(is.name, v.name),
      ),
    ),
    ...both.flatMap(([a, b]) =>
      a.name === b.name
        ? []
        : [
            made(
              "theme-value-renamed",
              { subject, value: b.id },
              systemWords.themeValueRenamed(is.name, a.name, b.name),
            ),
          ],
    ),
  ];
};

const ofThemes = (before: Project, after: Project): Difference[] => {
  const { gone, added, both } = compareTables<Theme>(
    ownRecords(before.themes),
    ownRecords(after.themes),
  );
  const of = (id: Id) => ({ subject: { table: "themes", id } }) as const;
  return [
    ...gone.map((t) => made("theme-removed", of(t.id), systemWords.themeRemoved(t.name))),
    ...added.map((t) => made("theme-added", of(t.id), systemWords.themeAdded(t.name))),
    ...both.flatMap(([was, is]) => themeDifferences(was, is)),
  ];
};

const unnamed = (asset: Asset): unknown => ({ ...asset, name: "" });

const ofAssets = (before: Project, after: Project): Difference[] => {
  const { gone, added, both } = compareTables<Asset>(
    ownRecords(before.assets),
    ownRecords(after.assets),
  );
  const of = (id: Id) => ({ subject: { table: "assets", id } }) as const;
  return [
    ...gone.map((a) => made("asset-removed", of(a.id), systemWords.assetRemoved(a.kind, a.name))),
    ...added.map((a) => made("asset-added", of(a.id), systemWords.assetAdded(a.kind, a.name))),
    ...both.flatMap(([was, is]) => [
      ...(was.name === is.name
        ? []
        : [made("asset-renamed", of(is.id), systemWords.assetRenamed(is.kind, was.name, is.name))]),
      ...(same(unnamed(was), unnamed(is))
        ? []
        : [made("asset-changed", of(is.id), systemWords.assetChanged(is.kind, is.name))]),
    ]),
  ];
};

const ofSystems = (before: Project, after: Project): Difference[] => {
  const { gone, added, both } = compareTables<Adoption>(before.adoptions, after.adoptions);
  const of = (id: Id) => ({ subject: { table: "adoptions", id } }) as const;
  return [
    ...gone.map((a) => made("system-removed", of(a.id), systemWords.systemRemoved(a.name))),
    ...added.map((a) => made("system-added", of(a.id), systemWords.systemAdded(a.name, a.number))),
    ...both.flatMap(([was, is]) =>
      was.edition === is.edition
        ? []
        : [
            made(
              "system-changed",
              of(is.id),
              systemWords.systemChanged(is.name, was.number, is.number),
            ),
          ],
    ),
  ];
};

/** How the tokens, themes, files and systems of two editions differ. */
export const valueDifferences = (before: Project, after: Project): Difference[] => [
  ...ofTokens(before, after),
  ...ofThemes(before, after),
  ...ofAssets(before, after),
  ...ofSystems(before, after),
];
