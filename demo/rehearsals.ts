import type { Step } from "#core/project";
import { valueId } from "./build";

type Named = { readonly name: string; readonly steps: readonly Step[] };

const point = (layer: string | null): Step => ({ do: "point", layer });
const click = (layer: string): Step => ({ do: "click", layer });
const wait = (ms: number): Step => ({ do: "wait", ms });
const key = (k: string): Step => ({ do: "key", key: k });
const press: Step = { do: "press" }, letGo: Step = { do: "release" }, rest: Step = { do: "settle" }, tab: Step = { do: "tab", back: false };
/** A trait of the piece, or of a copy in it, has a value. */
const is = (trait: string, value: string, at = ""): Step => ({ do: "trait", at, trait, value: valueId(trait, value) });
const reads = (text: string, shown = true): Step => ({ do: "text", text, shown });
const layer = (path: string, what: string, value: number | string | boolean, within = 0): Step => ({ do: "layer", layer: path, key: what, value, within });
const drag = (path: string, x: number, ms: number): Step => ({ do: "drag", layer: path, by: [x, 0], ms });

/** How far the waves of the welcome move in one go, px. */
const WAVE = 130;

/** What people do with the parts of the kit at their tricky moments, and what must come of it. */
export const rehearsals: Readonly<Record<string, readonly Named[]>> = {
  "alert-switch": [
    { name: "Stretches while pressed, jumps over on release", steps: [point("track"), press, wait(200), is("pressed", "yes"), layer("knob", "width", 33, 0.01), is("alerts", "off"), letGo, is("alerts", "on"), rest, layer("knob", "width", 28, 0.01)] },
    { name: "Moved off before letting go, it stays off", steps: [point("track"), press, wait(200), point(null), letGo, rest, is("alerts", "off"), is("pressed", "no")] },
    { name: "A second click in the middle of the jump turns it back", steps: [click("track"), wait(60), click("track"), rest, is("alerts", "off"), layer("knob", "width", 28, 0.01)] },
    { name: "By keyboard alone", steps: [tab, key(" "), is("alerts", "on"), key("Enter"), is("alerts", "off")] },
    { name: "With a finger", steps: [{ do: "tap", layer: "knob" }, rest, is("alerts", "on")] },
  ],
  "bicycle-tick-box": [
    { name: "Hovers differently when it is checked", steps: [point("square"), rest, layer("square", "borderColour", "#1c2f3a"), click("label"), rest, is("checked", "yes"), is("contact", "hovered"), layer("tick", "visible", true), point(null), rest, is("contact", "none")] },
  ],
  "route-bell": [
    { name: "Wiggles once and not again until it is left and entered", steps: [point("ground"), wait(101), layer("bell", "rotation", -15, 0.5), wait(134), layer("bell", "rotation", 12, 0.5), rest, layer("bell", "rotation", 0), wait(3000), layer("bell", "rotation", 0), point("bell"), wait(101), layer("bell", "rotation", 0), point(null), point("ground"), wait(101), layer("bell", "rotation", -15, 0.5)] },
    { name: "A click in the middle of the wiggle fills it, with a swell that settles", steps: [point("ground"), wait(100), click("bell"), is("rings", "yes"), wait(124), layer("bell", "scale", "1.24 1.24", 0.01), layer("bell", "rotation", 12, 2), rest, is("rings", "yes"), layer("bell", "scale", "1 1", 0.001), layer("bell", "rotation", 0)] },
    { name: "A second click empties it, and it does not wiggle while the pointer stays", steps: [click("bell"), rest, click("bell"), is("rings", "no"), wait(101), layer("bell", "rotation", 0), rest, wait(2000), layer("bell", "rotation", 0), is("contact", "hovered"), point(null), rest, is("contact", "none")] },
    { name: "Left early, the wiggle ends by itself", steps: [point("ground"), wait(30), point(null), wait(71), layer("bell", "rotation", -15, 0.5), rest, layer("bell", "rotation", 0), is("contact", "none")] },
  ],
  "deck-tabs": [
    { name: "Shows one deck at a time", steps: [click("saloon-tab"), rest, is("deck", "Saloon"), layer("saloon-page", "x", 0, 0.01), layer("car-page", "x", -342, 0.01), click("sun-tab"), click("car-tab"), rest, is("deck", "Car"), layer("car-page", "x", 0, 0.01)] },
    { name: "Arrow keys go round", steps: [tab, key("ArrowLeft"), is("deck", "Sun"), key("ArrowRight"), is("deck", "Car")] },
  ],
  // where springs are at a moment follows from their closed solution: x = e^(−ζω₀t) (cos ω_d t + ζ/√(1−ζ²) sin ω_d t)
  "harbour-dock-bar": [
    { name: "Notch, disc and glow are beside one another at every moment of the slide", steps: [click("ticket"), wait(100), layer("disc", "x", 88.46, 0.05), layer("notch", "x", 78.46, 0.05), layer("glow", "x", 84.46, 0.05), layer("ticket", "fill", "#9fd0d6"), wait(200), layer("disc", "x", 193.74, 0.05), layer("notch", "x", 183.74, 0.05), wait(100), layer("disc", "x", 200.44, 0.05), layer("ticket", "y", 15.92, 0.05), rest, layer("disc", "x", 197, 0.01), layer("ticket", "y", 18, 0.01)] },
    { name: "The notch and the disc slide together", steps: [click("ticket"), rest, is("place", "Tickets"), layer("disc", "x", 197, 0.01), layer("ticket-label", "opacity", 1), layer("home-label", "opacity", 0)] },
    { name: "A change of mind on the way goes straight to the new place", steps: [click("crew"), wait(120), click("map"), rest, is("place", "Map"), layer("disc", "x", 109, 0.01)] },
  ],
  "board-now-button": [
    { name: "Hovering shines, pressing sinks, both end", steps: [point("body"), is("contact", "hovered"), rest, press, is("contact", "pressed"), rest, layer("body", "y", 23, 0.01), point(null), is("contact", "pressed"), letGo, rest, is("contact", "none"), layer("body", "y", 20, 0.01)] },
    { name: "The shine sets out late, crosses in 620 ms, and waits beyond the edge", steps: [point("body"), wait(40), layer("shine", "x", -64.33, 0.01), wait(310), layer("shine", "x", 151.3, 0.5), layer("glow", "opacity", 0.702, 0.01), wait(310), layer("shine", "x", 213.67, 0.01), press, wait(45), layer("shine", "x", 213.67, 0.01), letGo, rest, point(null), rest, layer("shine", "x", -64.33, 0.01)] },
  ],
  "follow-crossing-button": [
    { name: "Released, it springs to Following", steps: [point("body"), press, wait(120), reads("Following", false), letGo, reads("Following"), rest, is("pressed", "no"), is("following", "yes")] },
    { name: "It widens as its spring says, and darkness stays until the new word can be read", steps: [point("body"), press, wait(120), layer("body", "scale", "0.94 0.94", 0.001), letGo, layer("body", "width", 103.6, 0.1), wait(100), layer("body", "width", 121.2, 0.1), layer("body", "fill", "#1b3e4e"), layer("body", "scale", "1 1", 0.001), wait(200), layer("body", "width", 140.8, 0.1), wait(100), layer("body", "width", 141.9, 0.1), rest, layer("body", "width", 140.5, 0.1)] },
  ],
  "menu-button": [{ name: "Hovered, focused and pressed give way to one another", steps: [point("body"), is("contact", "hovered"), press, is("contact", "pressed"), letGo, is("open", "yes"), is("contact", "hovered"), point(null), is("contact", "none"), tab, is("contact", "focused"), key("Enter"), is("open", "no")] }],
  "send-ticket-button": [
    { name: "The tick comes when the button has gone", steps: [click("body"), is("sent", "going"), wait(400), is("sent", "going"), wait(40), is("sent", "yes"), rest, layer("disc", "y", 12, 0.01)] },
    { name: "First the label goes, then the button draws together, then the tick swings in past its place", steps: [point("body"), wait(300), click("body"), wait(70), layer("label", "opacity", 0.315, 0.01), layer("body", "width", 180), wait(185), layer("label", "opacity", 0), layer("body", "width", 81.4, 0.2), layer("disc", "y", 80), wait(166), layer("body", "width", 48, 0.1), wait(200), layer("body", "opacity", 0), layer("disc", "y", 33.6, 0.5), wait(100), layer("disc", "y", 7, 0.3), rest, layer("disc", "y", 12, 0.01)] },
    { name: "Clicking on while it goes sends it once", steps: [click("body"), wait(100), click("body"), wait(100), point(null), rest, is("sent", "yes"), is("contact", "none")] },
  ],
  "sailing-card-deck": [
    { name: "Dragged aside, the front card goes to the back, round for ever", steps: [drag("gull", 150, 300), rest, is("front", "Saltholm"), drag("salt", -150, 300), rest, is("front", "Night boat"), drag("night", 150, 300), rest, is("front", "Gull Isle"), drag("gull", 150, 300), is("front", "Saltholm")] },
    { name: "Under the hand it goes aside, farthest half-way, and under the pile from there", steps: [drag("gull", 100, 320), layer("gull", "rotation", 9, 0.3), layer("gull", "x", 175.98, 0.3), rest, is("front", "Saltholm"), layer("gull", "x", 36.37, 0.01), layer("gull", "rotation", -6, 0.01)] },
    { name: "Let go too early and slowly, it comes back", steps: [drag("gull", 30, 600), rest, is("front", "Gull Isle"), layer("gull", "rotation", 0, 0.01)] },
    { name: "Arrow keys do it too", steps: [key("ArrowRight"), rest, is("front", "Saltholm"), key("ArrowLeft"), rest, is("front", "Gull Isle")] },
    { name: "A quick flick is enough", steps: [drag("gull", 40, 48), rest, is("front", "Saltholm")] },
  ],
  "fare-panel": [{ name: "The switch inside changes price, features and texts", steps: [reads("Single trip"), click("switch/track"), rest, reads("Season pass"), reads("420"), reads("Single trip", false), is("alerts", "on", "switch"), click("switch/track"), rest, reads("Single trip"), is("alerts", "off", "switch")] }],
  "seat-side-chooser": [{ name: "The pill follows", steps: [click("starboard"), rest, is("side", "Starboard"), layer("pill", "x", 199, 0.01), click("port"), rest, layer("pill", "x", 4, 0.01)] }],
  "seat-plan": [{ name: "Leans where the chooser inside says", steps: [click("chooser/middle"), is("side", "Middle"), is("side", "Middle", "chooser"), rest, layer("middle-block", "opacity", 1), click("chooser/port"), is("side", "Port")] }],
  "service-notice": [
    { name: "Filled in and sent, it says thank you", steps: [click("ship-hint"), key("M"), key("S"), reads("MS"), reads("MS Eelgrass", false), click("send"), is("sent", "going"), reads("Sending"), rest, is("sent", "yes"), reads("Thank you"), reads("Ship", false)] },
    { name: "When the harbour does not answer, what was written is kept", steps: [{ do: "answer", well: false }, click("what-hint"), key("H"), key("i"), key("Enter"), rest, is("sent", "failed"), reads("send it again"), reads("Hi"), { do: "answer", well: true }, click("send"), rest, is("sent", "yes")] },
  ],
  "crew-chat": [{ name: "The crew answers", steps: [reads("cargo bike", false), click("go"), rest, reads("cargo bike"), reads("lane 1")] }],
  "pier-pin": [
    { name: "The bubble snaps out past its size, and the picture a little later", steps: [click("pin"), wait(60), layer("bubble", "scale", "0.255 0.255", 0.005), layer("bubble", "opacity", 0.378, 0.01), wait(60), layer("bubble", "scale", "0.654 0.654", 0.005), wait(120), layer("bubble", "scale", "1.044 1.044", 0.005), rest, layer("bubble", "scale", "1 1", 0.001)] },
    { name: "The bubble snaps out and in again", steps: [click("pin"), is("bubble", "open"), rest, layer("bubble", "opacity", 1), click("pin"), rest, layer("bubble", "opacity", 0)] },
  ],
  "trip-settings": [
    { name: "Three switches, each for itself", steps: [click("delays/track"), rest, is("alerts", "on", "delays"), is("alerts", "on", "dock"), is("alerts", "off", "weather"), click("dock/track"), rest, is("alerts", "off", "dock"), is("alerts", "on", "delays")] },
    { name: "The notice is closed by the cross inside its component", steps: [click("tell"), rest, { do: "screen", screen: "notice" }, reads("Ship"), click("~notice/form/close"), rest, { do: "screen", screen: "trip-settings" }, reads("Ship", false)] },
    { name: "Beneath the notice nothing can be pressed", steps: [click("tell"), rest, point("delays/track"), press, wait(100), letGo, rest, is("alerts", "off", "delays")] },
    { name: "To the cabin and back", steps: [click("cabin"), rest, { do: "screen", screen: "cabin-climate" }, click("back"), rest, { do: "screen", screen: "trip-settings" }] },
  ],
  "cabin-climate": [{ name: "All eight combinations from three copies", steps: [click("air/track"), click("light/track"), rest, is("alerts", "on", "heating"), is("alerts", "on", "air"), is("alerts", "on", "light"), click("heating/track"), rest, is("alerts", "off", "heating"), is("alerts", "on", "air")] }],
  "welcome": [
    { name: "From blank, all fly in one after another", steps: [layer("title", "opacity", 0), wait(250), is("arrived", "yes"), wait(100), layer("line", "opacity", 0), layer("tabs", "opacity", 0), wait(160), layer("sun", "opacity", 1), layer("cards", "opacity", 0), wait(600), layer("tabs", "opacity", 1), rest, layer("title", "y", 120, 0.01), layer("dock", "y", 716, 0.01)] },
    { name: "The waves never stop, and after ten minutes they are where they should be", steps: [wait(1150), layer("near", "x", -32.5, 0.2), wait(600_000), layer("near", "x", -WAVE * (((600_000 + 1150) % 4600) / 4600), 0.2), layer("far", "x", -WAVE * (((600_000 + 1150) % 7000) / 7000), 0.2)] },
    { name: "Two tabs", steps: [wait(2500), reads("Saltholm and back", false), click("trips-tab"), wait(3000), reads("Saltholm and back"), layer("mark", "x", 195, 0.01), click("today-tab"), wait(3000), reads("Night boat")] },
  ],
  "saltholm-pier": [
    { name: "A tap on the pin's bubble slides to the pier's screen, and back", steps: [click("gull/pin"), rest, click("gull/bubble"), { do: "screen", screen: "ticket" }, rest, click("back"), { do: "screen", screen: "saltholm-pier" }] },{ name: "The crew's chat comes up and goes", steps: [reads("Ahoy", false), click("crew"), rest, is("chat", "open"), reads("Ahoy"), click("crew"), rest, reads("Ahoy", false)] }],
};
