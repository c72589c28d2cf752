import { beforeAll, describe, expect, it } from "vitest";
import { kelpwayKit } from "../../demo/index";
import { tokenValue } from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece, Project } from "#core/project";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { Builder } from "../support/pieces";
import { savedProject } from "../support/saved";

/**
 * The kit with a Route bell that does nothing, so that its rehearsals fail, and with a sign on which
 * values repeat, one that is a token's and one that is nobody's, and words are hard to read.
 */
const kitWithFaults = (): Project => {
  const b = new Builder();
  b.project = kelpwayKit();
  b.new("component", "Sign");
  const buoy = Object.values(b.project.tokens).find((token) => token.name === "Buoy");
  const colour = tokenValue(b.project.tokens, buoy?.id ?? "");
  for (let i = 0; i < 3; i++) {
    b.layer("box", { fill: colour as string, x: 10 * i });
    b.layer("ellipse", { fill: "#123fed", x: 10 * i });
  }
  b.look({}, ROOT, { fill: "#ffffff" });
  b.layer("text", { text: "Pier 2", fill: "#dfe6e3", x: 180, y: 70 });
  const bell = b.project.pieces["route-bell"] as Piece;
  const pieces = { ...b.project.pieces, "route-bell": { ...bell, rules: {} } };
  return { ...b.project, pieces };
};

const faulty = kitWithFaults();
const pieces = Object.values(faulty.pieces);
const rehearsals = pieces.reduce((n, piece) => n + Object.keys(piece.rehearsals).length, 0);
const components = pieces.filter((piece) => piece.kind === "component").length;
const desk = givenDesk(faulty);
let me: Designer;
beforeAll(() => {
  me = desk.me;
});
const go = (path: string) => me.page.goto(desk.address + path, { waitUntil: "load" });
const first = async (selector: string): Promise<string> => {
  const link = await me.page.waitForSelector(selector);
  const words = await link?.evaluate((e) => e.textContent);
  await link?.evaluate((e) => e.scrollIntoView({ block: "center" }));
  await link?.click();
  return words ?? "";
};
const opened = (tab: string) =>
  me.until(async () => {
    expect(await me.text('[role="tab"][aria-selected="true"]')).toContain(tab);
  });

describe("the signals of a component", () => {
  it("lead to the rule that sends them, and to the piece where they are heard", async () => {
    await go("/system/components/harbour-dock-bar");
    await me.page.waitForSelector(".found");
    const sent = await first(".rule-links a");
    await opened("Rules");
    await me.until(async () =>
      expect(
        await me.page.$$eval(
          ".rules .rule.chosen, .rules [aria-selected=true]",
          (all) => all.length,
        ),
      ).toBe(1),
    );
    expect(sent).toContain("clicked");
    await me.page.goBack();
    await me.page.waitForSelector(".found");
    const heard = await first(".rule-links ~ .rule-links a");
    await opened("Rules");
    expect(await me.text("header")).toContain(heard);
  });
});

describe("a rehearsal", () => {
  it("that passes or fails is reached from the page of its component", async () => {
    await go("/system/components/route-bell");
    await me.page.waitForSelector(".found .trouble");
    const name = await first(".found .used-list a");
    await opened("Rehearsals");
    await me.until(async () => expect(await me.text(".rehearsal-list li.open")).toContain(name));
  });

  it("that failed is reached from the page of the project", async () => {
    await go("");
    await me.until(() => me.click("button", `Run all ${rehearsals}`));
    const name = await first(".rehearsal-results .failing .why a");
    await opened("Rehearsals");
    await me.until(async () => expect(await me.text(".rehearsal-list li.open")).toContain(name));
  });
});

describe("findings of the components", () => {
  it("lead from the library to the bench and to the page of the component", async () => {
    await go("/system");
    await me.until(() => me.click("button", `Check ${components} components in all themes`));
    await me.page.waitForSelector(".component-checks .findings li");
    await first(".component-checks .findings li a + a");
    await opened("Checks");
  });

  it("that are about several components lead to each of them", async () => {
    await go("/system");
    const several = '[aria-label="Motions outside the system"] .finding-text:has(a + a)';
    await me.page.waitForSelector(several);
    const names = await me.page.$$eval(`${several} a`, (all) => all.map((a) => a.textContent));
    await me.click("link", names[1] ?? "", several);
    await me.until(async () => expect(await me.text("h1")).toBe(names[1]));
  });
});

describe("suggestions of tokens", () => {
  it("offer the token that says what is repeated", async () => {
    await go("/system/tokens");
    await me.until(() => me.click("button", "Use Buoy"));
    await me.until(async () => {
      const signs = Object.values((await savedProject(desk)).pieces).find((p) => p.name === "Sign");
      const said = Object.values(signs?.looks ?? {}).flatMap((look) =>
        Object.values(look.changes).map((changes) => changes.fill),
      );
      expect(said.filter((fill) => typeof fill === "object" && "token" in fill)).toHaveLength(3);
    });
  });

  it("make a token of what repeats, which is named at once", async () => {
    await me.click("button", "Create token");
    await me.find("textbox", "Token name");
    await me.type("Night ferry");
    await me.press("Enter");
    await me.until(async () => {
      const made = Object.values((await savedProject(desk)).tokens);
      expect(made.find((token) => token.name === "Night ferry")?.value).toBe("#123fed");
    });
    await me.click("button", "Actions for Night ferry");
    await me.click("button", "Create alias");
    await me.find("textbox", "Token name");
    await me.type("Ferry");
    await me.press("Enter");
    await me.find("button", "Ferry");
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
