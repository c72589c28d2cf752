import type { ReactNode } from "react";

const shapes: Readonly<Record<string, ReactNode>> = {
  box: <rect x="2.5" y="3.5" width="11" height="9" rx="2" />,
  ellipse: <ellipse cx="8" cy="8" rx="5.5" ry="5" />,
  text: <path d="M3.5 5V3.500h9V5M8 3.500v9M6 12.500h4" />,
  path: <path d="M3 11.500 C4 4 8 4 8.500 8 C9 12 12.500 12 13 4.500" />,
  line: <path d="M3 13 L13 3" />,
  polygon: <path d="M3 12.5 L8 3 L13 12.5 Z" />,
  compound: <path d="M2.500 2.500 H9.500 V6.500 H13.500 V13.500 H6.500 V9.500 H2.500 Z" />,
  icon: (
    <path d="M8 2.500 L9.600 6.200 L13.500 6.500 L10.500 9.100 L11.500 13 L8 10.900 L4.500 13 L5.500 9.100 L2.500 6.500 L6.400 6.200 Z" />
  ),
  picture: (
    <>
      <rect x="2.5" y="3" width="11" height="10" rx="1.500" />
      <path d="M3 11.500 L6.500 8 L9 10.500 L10.800 8.800 L13 11" />
      <circle cx="10.500" cy="6" r="1" />
    </>
  ),
  dropper: (
    <path d="M9.500 4.500 L11.500 6.500 M8.500 5.500 L10.500 7.500 L5 13 H3 V11 Z M10.500 3.500 L12.500 5.500 L13.500 3.500 L12.500 2.500 Z" />
  ),
  lock: (
    <>
      <rect x="4" y="7" width="8" height="6" rx="1.200" />
      <path d="M5.500 7 V5 a2.500 2.500 0 0 1 5 0 V7" />
    </>
  ),
  instance: (
    <>
      <rect x="2.5" y="2.5" width="7.5" height="7.5" rx="2" />
      <rect x="6" y="6" width="7.5" height="7.5" rx="2" />
    </>
  ),
  undo: <path d="M6.5 3 L3 6.5 L6.5 10 M3.5 6.5 H9 a4 3.5 0 0 1 0 7 H7" />,
  redo: <path d="M9.5 3 L13 6.5 L9.5 10 M12.5 6.5 H7 a4 3.5 0 0 0 0 7 H9" />,
  flag: <path d="M4 13.5 V3 H12 L10 6 L12 9 H4" />,
  plus: <path d="M8 3.5 V12.5 M3.5 8 H12.5" />,
  minus: <path d="M3.5 8 H12.5" />,
  close: <path d="M4.5 4.5 L11.5 11.5 M11.5 4.5 L4.5 11.5" />,
  up: <path d="M4.5 9.5 L8 6 L11.5 9.5" />,
  down: <path d="M4.5 6.5 L8 10 L11.5 6.5" />,
  replace: <path d="M3 5.5 H12 M9.5 3 L12 5.5 L9.5 8 M13 10.5 H4 M6.5 8 L4 10.5 L6.5 13" />,
  beside: <path d="M2.5 3 H13.5 V13 H2.5 Z M9 3 V13" />,
  below: <path d="M2.5 3 H13.5 V13 H2.5 Z M2.5 9 H13.5" />,
  right: <path d="M6.5 4.5 L10 8 L6.5 11.5" />,
  seen: (
    <>
      <path d="M2 8 C4.500 4 11.500 4 14 8 C11.500 12 4.500 12 2 8 Z" />
      <circle cx="8" cy="8" r="1.800" />
    </>
  ),
  pen: <path d="M3 13 L4 9.500 L10.500 3 L13 5.500 L6.500 12 Z M9 4.500 L11.500 7" />,
  "align-left": <path d="M3 2.500 V13.500 M5 5 H13 M5 10.500 H10" />,
  "align-centre": <path d="M8 2.500 V13.500 M3.500 5 H12.500 M5.500 10.500 H10.500" />,
  "align-right": <path d="M13 2.500 V13.500 M3 5 H11 M6 10.500 H11" />,
  "align-top": <path d="M2.500 3 H13.500 M5 5 V13 M10.500 5 V10" />,
  "align-middle": <path d="M2.500 8 H13.500 M5 3.500 V12.500 M10.500 5.500 V10.500" />,
  "align-bottom": <path d="M2.500 13 H13.500 M5 3 V11 M10.500 6 V11" />,
  "gaps-x": <path d="M2.500 3 V13 M13.500 3 V13 M6.500 5.500 H9.500 V10.500 H6.500 Z" />,
  "gaps-y": <path d="M3 2.500 H13 M3 13.500 H13 M5.500 6.500 H10.500 V9.500 H5.500 Z" />,
  group: (
    <path d="M2.500 5 V2.500 H5 M11 2.500 H13.500 V5 M13.500 11 V13.500 H11 M5 13.500 H2.500 V11 M5.500 5.500 H10.500 V10.500 H5.500 Z" />
  ),
  grip: <path d="M6 4 V4.100 M10 4 V4.100 M6 8 V8.100 M10 8 V8.100 M6 12 V12.100 M10 12 V12.100" />,
  pin: <path d="M6 2.500 H10 L9.500 7 L11.500 9 H4.500 L6.500 7 Z M8 9 V13.500" />,
  filter: <path d="M2.500 3.500 H13.500 L9.500 8.500 V13 L6.500 11.500 V8.500 Z" />,
  hidden: <path d="M2 8 C4.5 12 11.5 12 14 8 M3.5 10 L2 11.5 M12.5 10 L14 11.5 M8 11 V13" />,
  "way-back": <path d="M3 6 H12.500 L10 3.500 M13 10.500 H3.500 L6 13" />,
  pause: <path d="M5.500 3.500 V12.500 M10.500 3.500 V12.500" />,
  go: <path d="M5 3.500 L12.500 8 L5 12.500 Z" />,
  step: <path d="M3.500 3.500 L9 8 L3.500 12.500 Z M12 3.500 V12.500" />,
  restart: <path d="M12.8 6.5 A5.2 5.2 0 1 0 13.2 8.8 M13 3 V6.7 H9.3" />,
  copy: (
    <>
      <rect x="5.5" y="5.5" width="8" height="8" rx="1.5" />
      <path d="M10.5 3 H4 a1.5 1.5 0 0 0 -1.5 1.5 V10.5" />
    </>
  ),
  bin: <path d="M3 4.5 H13 M6 4.5 V3 H10 V4.5 M4.5 4.5 L5.2 13 H10.8 L11.5 4.5" />,
  time: (
    <>
      <circle cx="8" cy="8.500" r="5" />
      <path d="M8 5.800 V8.500 L10 9.800 M6.500 2.500 H9.500" />
    </>
  ),
  tick: <path d="M3.500 8.500 L6.500 11.500 L12.500 4.500" />,
  alert: <path d="M8 2.800 L14 13 H2 Z M8 6.500 V9.500 M8 11.200 V11.300" />,
  ask: (
    <>
      <circle cx="8" cy="8" r="5.800" />
      <path d="M6.300 6.500 a1.800 1.800 0 1 1 2.500 1.700 C8.200 8.500 8 8.800 8 9.500 M8 11.200 V11.300" />
    </>
  ),
  record: <circle cx="8" cy="8" r="4.200" fill="currentColor" />,
  open: <path d="M3 8 H12 M8.5 4.5 L12 8 L8.5 11.5" />,
  calm: <path d="M2.500 6 C4.500 4 6.500 8 8 6 S11.500 4 13.500 6 M2.500 11 H13.500" />,
};

/** A small line drawing, one stroke wide, in the colour of the text. */
export const Icon = ({ name, size = 16 }: { name: string; size?: number }) => (
  <svg
    width={size}
    height={size}
    viewBox="0 0 16 16"
    fill="none"
    stroke="currentColor"
    strokeWidth="1.4"
    strokeLinecap="round"
    strokeLinejoin="round"
    overflow="visible"
    aria-hidden="true"
  >
    {shapes[name]}
  </svg>
);

/** Patterned swatches of traits: told apart by pattern as well as by colour. */
const patterns: readonly { colour: string; draw: ReactNode }[] = [
  {
    colour: "#1f6f5c",
    draw: (
      <>
        <circle cx="4" cy="4" r="1.3" />
        <circle cx="10" cy="4" r="1.3" />
        <circle cx="4" cy="10" r="1.3" />
        <circle cx="10" cy="10" r="1.3" />
        <circle cx="7" cy="7" r="1.3" />
      </>
    ),
  },
  {
    colour: "#b9770b",
    draw: (
      <path d="M0 10 L10 0 M4 14 L14 4 M-3 7 L7 -3 M8 16 L16 8" stroke="#fff" strokeWidth="2.2" />
    ),
  },
  {
    colour: "#8a4b7a",
    draw: <path d="M0 3.5 H14 M0 7.5 H14 M0 11.5 H14" stroke="#fff" strokeWidth="1.7" />,
  },
  {
    colour: "#35707f",
    draw: <path d="M0 0 L14 14 M14 0 L0 14 M7 0 V14" stroke="#fff" strokeWidth="1.3" />,
  },
  {
    colour: "#a9441a",
    draw: (
      <>
        <rect x="0" y="0" width="7" height="7" fill="#fff" opacity="0.85" />
        <rect x="7" y="7" width="7" height="7" fill="#fff" opacity="0.85" />
      </>
    ),
  },
  {
    colour: "#4d5a85",
    draw: <circle cx="7" cy="7" r="3.2" fill="none" stroke="#fff" strokeWidth="2" />,
  },
  {
    colour: "#7a6a2b",
    draw: <path d="M3.500 0 V14 M7.500 0 V14 M11.500 0 V14" stroke="#fff" strokeWidth="1.7" />,
  },
  { colour: "#9b3d55", draw: <path d="M7 2 L12 7 L7 12 L2 7 Z" fill="#fff" /> },
  {
    colour: "#2f6b3a",
    draw: <path d="M7 2.500 V11.500 M2.500 7 H11.500" stroke="#fff" strokeWidth="2.6" />,
  },
  {
    colour: "#5f4b8b",
    draw: (
      <path
        d="M0 5 Q3.500 1.500 7 5 T14 5 M0 11 Q3.500 7.500 7 11 T14 11"
        fill="none"
        stroke="#fff"
        strokeWidth="1.6"
      />
    ),
  },
];
/** How many swatches there are to choose from. */
export const swatchCount = patterns.length;

/** The swatch of a trait's pattern number. */
export const Swatch = ({ pattern }: { pattern: number }) => {
  const p = patterns[pattern % patterns.length];
  const fill = pattern % patterns.length === 0 ? "#fff" : undefined;
  return (
    <svg
      width="14"
      height="14"
      viewBox="0 0 14 14"
      aria-hidden="true"
      style={{ flex: "none", borderRadius: 4, overflow: "hidden" }}
    >
      <rect width="14" height="14" fill={p?.colour} />
      <g fill={fill}>{p?.draw}</g>
    </svg>
  );
};
