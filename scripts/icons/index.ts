// Reads the shipped icon packages into one catalogue of names, words and outlines, so that projects
// can take icons over.
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { icons as tagged } from "@phosphor-icons/core";
import { readIcon } from "../../core/formats/svg/index.ts";
import { usesOf } from "./uses.ts";

/** Changes when what is written changes. */
const EDITION = 5;

interface Source {
  readonly file: string;
  readonly name: string;
  /** the name without its style: what its words are known by */
  readonly base: string;
}

const root = join(dirname(fileURLToPath(import.meta.url)), "../..");
const target = join(root, "generated/icons.json");
const stampFile = join(root, "generated/icons.stamp");
const require = createRequire(import.meta.url);
const plainHome = dirname(require.resolve("bootstrap-icons/package.json"));
const taggedHome = join(dirname(require.resolve("@phosphor-icons/core")), "..");
const versionOf = (home: string): string =>
  (JSON.parse(readFileSync(join(home, "package.json"), "utf8")) as { version: string }).version;
const stamp = `${EDITION} ${versionOf(plainHome)} ${versionOf(taggedHome)}`;
if (existsSync(target) && existsSync(stampFile) && readFileSync(stampFile, "utf8") === stamp)
  process.exit(0);

const isMark = ({ categories }: (typeof tagged)[number]): boolean =>
  categories.some((c) => String(c) === "brands");
const firstWord = (name: string): string => /^[a-z]*/.exec(name)?.[0] ?? "";
const drawn = tagged.filter((icon) => !isMark(icon));
const ordinary = new Set(drawn.map(({ name }) => firstWord(name)));
/** How marks of companies begin, which are none of an interface's icons. */
const marks = new Set(
  tagged
    .filter(isMark)
    .map(({ name }) => firstWord(name))
    .filter((word) => !ordinary.has(word)),
);

const plain = readdirSync(join(plainHome, "icons"))
  .filter((file) => file.endsWith(".svg") && !marks.has(firstWord(file)))
  .map((file): Source => {
    const name = file.slice(0, -4);
    return { file: join(plainHome, "icons", file), name, base: name.replace(/-fill$/, "") };
  });

const lines = drawn.flatMap(({ name }): Source[] => [
  { file: join(taggedHome, `assets/regular/${name}.svg`), name: `${name}-line`, base: name },
  { file: join(taggedHome, `assets/fill/${name}-fill.svg`), name: `${name}-solid`, base: name },
]);

/** The words a package gives its icons, by name; notes such as *new* are none. */
const words = new Map<string, readonly string[]>(
  drawn.map(({ name, tags, categories }) => {
    const all = [...tags, ...categories].map((t) => String(t).toLowerCase());
    return [name, all.filter((t) => !t.startsWith("*"))];
  }),
);

const refused: string[] = [];
const catalogue = [...plain, ...lines]
  .sort((a, b) => (a.name < b.name ? -1 : 1))
  .flatMap(({ file, name, base }) => {
    const read = readIcon(readFileSync(file, "utf8"));
    if (!read.ok) {
      refused.push(`${name}: ${read.error}`);
      return [];
    }
    const uses = usesOf(base);
    const tags = words.get(base) ?? [];
    return [{ name, ...(uses.length && { uses }), ...(tags.length && { tags }), ...read.icon }];
  });
mkdirSync(join(root, "generated"), { recursive: true });
writeFileSync(target, JSON.stringify(catalogue));
writeFileSync(stampFile, stamp);
console.log(
  `icons: ${catalogue.length} in the catalogue, ${Math.round(statSync(target).size / 1024)} kB${refused.length ? `, ${refused.length} left out: ${refused.join("; ")}` : ""}`,
);
