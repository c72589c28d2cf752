import { launch } from "./tests/support/browser.ts";
const { browser, close } = await launch();
const page = await browser.newPage();
page.on("console", (m) => { if (["error","warn"].includes(m.type())) console.log("CONSOLE", m.text().slice(0,600)); });
page.on("pageerror", (e) => console.log("PAGEERROR", String(e).slice(0,800)));
const url = process.argv[2]!;
await page.setViewport({ width: 1280, height: 800 });
await page.goto(url, { waitUntil: "load" });
await new Promise(r => setTimeout(r, 1500));
for (const a of process.argv.slice(4)) {
  if (a.startsWith("click:")) { const [role, name] = a.slice(6).split("="); const e = await page.$(`::-p-aria([name="${name}"][role="${role}"])`); if (!e) console.log("none", a); else await e.click().catch((x: Error) => console.log(a, x.message)); }
  else if (a.startsWith("key:")) await page.keyboard.press(a.slice(4) as never);
  else if (a.startsWith("js:")) console.log(JSON.stringify(await page.evaluate(a.slice(3))));
  await new Promise(r => setTimeout(r, 500));
}
await page.screenshot({ path: process.argv[3]! as `${string}.png` });
await close();
process.exit(0);
