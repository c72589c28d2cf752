import type { Person } from "./browser";

/** What came of choosing everything that is offered somewhere. */
export interface Walked {
  /** how many choices were made */
  readonly made: number;
  /** those after which nothing was different */
  readonly idle: readonly string[];
}

/**
 * Chooses every choice of every list in a part of the page, one by one, and takes each back by
 * undo: there must be nothing to undo before. Lists that only come with a choice in one of `deep` are gone through, too. A choice is idle
 * when neither the part, nor any of its fields, nor what can be undone is different by it.
 */
export const walkChoices = (
  me: Person,
  scope: string,
  deep: readonly string[] = [],
): Promise<Walked> =>
  me.page.evaluate(
    async (where: string, opens: readonly string[]) => {
      const frames = async () => {
        for (let i = 0; i < 3; i++) await new Promise((done) => requestAnimationFrame(done));
      };
      const part = () => document.querySelector(where);
      const undo = () => document.querySelector<HTMLButtonElement>('button[aria-label="Undo"]');
      const lists = () => [
        ...(part()?.querySelectorAll<HTMLElement>("select:not(:disabled), input[role=combobox]") ??
          []),
      ];
      const nameOf = (list: HTMLElement, i: number) =>
        `${list.getAttribute("aria-label") ?? "unnamed"} (${i})`;
      const seen = () =>
        [
          part()?.innerHTML.replace(/ (id|aria-[a-z]+|class)="[^"]*"/g, ""),
          ...[...(part()?.querySelectorAll<HTMLInputElement>("select, input") ?? [])].map(
            (f) => `${f.value}${f.checked}`,
          ),
          undo()?.disabled,
          undo()?.title,
        ].join("\n");
      const labels = async (list: HTMLElement): Promise<string[]> => {
        if (list instanceof HTMLSelectElement)
          return [...list.options].filter((o) => !o.disabled && !o.selected).map((o) => o.text);
        list.click();
        await frames();
        const all = [...document.querySelectorAll(".search-list [role=option]")];
        const others = all.filter((o) => !o.classList.contains("now"));
        list.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
        await frames();
        return others.map((o) => o.textContent ?? "");
      };
      const choose = async (list: HTMLElement, label: string): Promise<void> => {
        if (list instanceof HTMLSelectElement) {
          const option = [...list.options].find((o) => o.text === label);
          if (option) list.value = option.value;
          list.dispatchEvent(new Event("change", { bubbles: true }));
        } else {
          list.click();
          await frames();
          const all = [...document.querySelectorAll<HTMLElement>(".search-list [role=option]")];
          all.find((o) => o.textContent === label)?.click();
        }
        await frames();
      };
      const takeBack = async (): Promise<void> => {
        for (let i = 0; i < 80 && undo()?.disabled === false; i++) {
          undo()?.click();
          await frames();
        }
      };
      const idle: string[] = [];
      let made = 0;
      /** Goes through the lists from one on; those before it were there already. */
      const walk = async (known: ReadonlySet<string>, way: string): Promise<void> => {
        const names = lists().map(nameOf);
        for (const [i, name] of names.entries()) {
          if (known.has(name)) continue;
          const found = () => lists()[i];
          const first = found();
          for (const label of first ? await labels(first) : []) {
            const list = found();
            if (!list) break;
            const before = seen();
            await choose(list, label);
            made++;
            if (seen() === before) idle.push(`${way}${name}: ${label}`);
            if (way === "" && opens.some((o) => name.startsWith(o)))
              await walk(new Set(names), `${label} › `);
            if (way === "") await takeBack();
          }
        }
      };
      await walk(new Set(), "");
      return { made, idle };
    },
    scope,
    deep,
  );
