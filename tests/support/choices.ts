import type { Person } from "./browser";

/** How long a choice may take to show before it counts as idle, ms. */
const PATIENCE = 3000;

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
    async (where: string, opens: readonly string[], patience: number) => {
      const frames = async () => {
        for (let i = 0; i < 2; i++) await new Promise((done) => requestAnimationFrame(done));
      };
      /** Whether something comes about: a machine under load may need many frames for it. */
      const comes = async (isSo: () => boolean): Promise<boolean> => {
        for (const end = performance.now() + patience; performance.now() < end; await frames())
          if (isSo()) return true;
        return isSo();
      };
      const part = () => document.querySelector(where);
      const undo = () => document.querySelector<HTMLButtonElement>('button[aria-label="Undo"]');
      const lists = () => [
        ...(part()?.querySelectorAll<HTMLElement>("select:not(:disabled), input[role=combobox]") ??
          []),
      ];
      /** Lists by their names; those of one name are told apart by their order. */
      const named = (): ReadonlyMap<string, HTMLElement> => {
        const all = new Map<string, HTMLElement>();
        for (const list of lists()) {
          const label = list.getAttribute("aria-label") ?? "unnamed";
          let name = label;
          for (let n = 2; all.has(name); n++) name = `${label} ${n}`;
          all.set(name, list);
        }
        return all;
      };
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
        for (const name of named().keys()) {
          if (known.has(name)) continue;
          const found = () => named().get(name);
          const first = found();
          for (const label of first ? await labels(first) : []) {
            const list = found();
            if (!list) break;
            const before = seen();
            const there = new Set(named().keys());
            await choose(list, label);
            made++;
            if (!(await comes(() => seen() !== before))) idle.push(`${way}${name}: ${label}`);
            if (way === "" && opens.some((o) => name.startsWith(o)))
              await walk(there, `${label} › `);
            if (way === "") await takeBack();
          }
        }
      };
      await walk(new Set(), "");
      return { made, idle };
    },
    scope,
    deep,
    PATIENCE,
  );

/**
 * Chooses everything that is offered in the cells of the sheet, of the layer that is chosen, one by
 * one, and takes each back: words in cells, and what their menus hold.
 */
export const walkSheet = (me: Person, menuOf: string): Promise<Walked> =>
  me.page.evaluate(
    async (menuKey: string, patience: number) => {
      const frames = async () => {
        for (let i = 0; i < 2; i++) await new Promise((done) => requestAnimationFrame(done));
      };
      const comes = async (isSo: () => boolean): Promise<boolean> => {
        for (const end = performance.now() + patience; performance.now() < end; await frames())
          if (isSo()) return true;
        return isSo();
      };
      const sheet = () => document.querySelector<HTMLElement>(".sheet");
      const undo = () => document.querySelector<HTMLButtonElement>('button[aria-label="Undo"]');
      const takeBack = async () => {
        for (let i = 0; i < 20 && undo()?.disabled === false; i++) {
          undo()?.click();
          await frames();
        }
        await comes(() => undo()?.disabled !== false);
      };
      const cellOf = (key: string) =>
        sheet()?.querySelector<HTMLElement>(`.sheet-row[data-row="${CSS.escape(key)}"] .cell`);
      const field = () => sheet()?.querySelector<HTMLElement>(".cell-field") ?? null;
      /** The field that comes, with the focus in it; none where Enter asks for no word. */
      const open = async (key: string): Promise<HTMLSelectElement | null> => {
        cellOf(key)?.click();
        await frames();
        cellOf(key)?.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }));
        await comes(() => document.activeElement === field() || undo()?.disabled === false);
        return sheet()?.querySelector<HTMLSelectElement>("select.cell-field") ?? null;
      };
      /** Leaves the field that is open; where none is, Escape would leave the layer. */
      const leave = async () => {
        field()?.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
        await comes(() => field() === null);
      };
      const idle: string[] = [];
      let made = 0;
      const words = async (key: string): Promise<void> => {
        const first = await open(key);
        const labels = first
          ? [...first.options].filter((o) => !o.selected).map((o) => o.text)
          : [];
        await leave();
        // a yes became a no where there was nothing to choose
        await takeBack();
        for (const label of labels) {
          const list = await open(key);
          const option = list && [...list.options].find((o) => o.text === label);
          if (!list || !option) continue;
          list.value = option.value;
          list.dispatchEvent(new Event("change", { bubbles: true }));
          await frames();
          made++;
          if (!(await comes(() => undo()?.disabled === false))) idle.push(`${key}: ${label}`);
          await comes(() => field() === null);
          await takeBack();
        }
      };
      const seen = () => {
        const main = document.querySelector(".bench")?.innerHTML.replace(/ id="[^"]*"/g, "");
        return `${main}${document.querySelectorAll(".modal, .panel").length}`;
      };
      /** Scrolls until a row is there: only those in sight are. */
      const bring = async (key: string): Promise<void> => {
        const room = sheet();
        for (let top = 0; room && !cellOf(key) && top <= room.scrollHeight; top += 200) {
          room.scrollTop = top;
          await frames();
        }
      };
      const menu = async (key: string): Promise<HTMLElement[]> => {
        await bring(key);
        cellOf(key)?.dispatchEvent(
          new MouseEvent("contextmenu", { bubbles: true, clientX: 300, clientY: 300 }),
        );
        const items = () => [
          ...document.querySelectorAll<HTMLElement>(
            "[role=menuitem]:not(:disabled):not(.disabled)",
          ),
        ];
        await comes(() => items().length > 0);
        return items();
      };
      /** Closes what is open; where nothing is, Escape would leave the layer. */
      const away = async () => {
        document.querySelector<HTMLElement>(".modal .btn-close")?.click();
        document.body.dispatchEvent(new MouseEvent("mousedown", { bubbles: true }));
        await comes(() => document.querySelector(".context-menu, .modal") === null);
        await frames();
      };
      const keys = new Set<string>();
      const room = sheet();
      /** A row in sight that has not been gone through yet. */
      const next = (): string | undefined =>
        [...(room?.querySelectorAll<HTMLElement>(".sheet-row") ?? [])]
          .map((row) => row.dataset["row"] ?? "")
          .find((key) => !keys.has(key) && cellOf(key));
      const walk = async (): Promise<void> => {
        for (let top = 0; room && top <= room.scrollHeight; top += 200) {
          room.scrollTop = top;
          await frames();
          for (let key = next(); key !== undefined; key = next()) {
            keys.add(key);
            await words(key);
          }
        }
      };
      await walk();
      // rows that came too late to be seen while it was scrolled
      await walk();
      const labels = (await menu(menuKey)).map((i) => i.textContent ?? "");
      await away();
      for (const label of labels) {
        const item = (await menu(menuKey)).find((i) => i.textContent === label);
        const before = seen();
        item?.click();
        await frames();
        made++;
        if (!item || !(await comes(() => seen() !== before)))
          idle.push(`menu of ${menuKey}: ${label}`);
        await away();
        await takeBack();
      }
      return { made, idle };
    },
    menuOf,
    PATIENCE,
  );
