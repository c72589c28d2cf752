/** What people look for, and what the icons for it are called in the shipped sets. */
const uses: Readonly<Record<string, readonly string[]>> = {
  "close cross dismiss cancel": ["x", "x-lg"],
  "menu hamburger burger": ["list", "hamburger-menu"],
  "more overflow menu": ["three-dots", "three-dots-vertical", "dots-three", "dots-three-vertical"],
  "tick done ok confirm yes checkmark": ["check", "check-lg", "check2"],
  "like love favourite favorite": ["heart", "hand-thumbs-up", "thumbs-up"],
  "favourite favorite rate rating": ["star"],
  "bin delete remove rubbish garbage": ["trash", "trash2", "trash3"],
  "home start": ["house"],
  "settings cog options preferences": ["gear", "gear-six", "sliders"],
  "search find look magnifier": ["search", "magnifying-glass"],
  "back previous": ["arrow-left", "chevron-left", "caret-left"],
  "next forward": ["arrow-right", "chevron-right", "caret-right"],
  "add new create": ["plus", "plus-lg"],
  "subtract less": ["minus", "dash-lg"],
  "edit write rename": ["pencil", "pencil-simple", "pen"],
  "logout log-out sign-out leave exit": ["box-arrow-right", "sign-out"],
  "login log-in": ["box-arrow-in-right", "sign-in"],
  "notification alert reminder": ["bell"],
  "user profile account": ["person", "user"],
  "team group users": ["people", "users"],
  "mail email message": ["envelope"],
  "call telephone": ["telephone", "phone"],
  "place location address pin": ["geo-alt", "map-pin", "pin-map"],
  "cart shop basket": ["cart", "basket", "shopping-cart"],
  filter: ["funnel"],
  "show visible": ["eye"],
  "hide hidden": ["eye-slash"],
  "secure private password": ["lock"],
  "refresh reload again": ["arrow-clockwise", "arrows-clockwise"],
  "warning error alert": ["exclamation-triangle", "warning"],
  about: ["info", "info-circle"],
  help: ["question", "question-circle"],
  date: ["calendar"],
  "time hour": ["clock"],
  "photo picture": ["image", "camera"],
  "sound loud": ["volume-up", "speaker-high"],
  dark: ["moon"],
  "light bright": ["sun"],
  "language world web": ["globe"],
  attach: ["paperclip"],
  "message comment talk": ["chat"],
  save: ["bookmark", "floppy", "floppy-disk"],
  "ferry ship": ["boat"],
};

const byName = new Map<string, readonly string[]>();
for (const [words, names] of Object.entries(uses))
  for (const name of names) byName.set(name, [...(byName.get(name) ?? []), ...words.split(" ")]);

/** What an icon is used for, by its name without its style; nothing for most. */
export const usesOf = (name: string): readonly string[] => byName.get(name) ?? [];
