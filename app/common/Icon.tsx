import type { ReactNode } from "react";

const shapes: Readonly<Record<string, ReactNode>> = {
  box: <rect x="2.5" y="3.5" width="11" height="9" rx="2" />,
  ellipse: <ellipse cx="8" cy="8" rx="5.5" ry="5" />,
  text: <path d="M3.5 5V3.500h9V5M8 3.500v9M6 12.500h4" />,
  path: <path d="M3 11.500 C4 4 8 4 8.500 8 C9 12 12.500 12 13 4.500" />,
  line: <path d="M3 13 L13 3" />,
  polygon: <path d="M3 12.5 L8 3 L13 12.5 Z" />,
  compound: <path d="M2.500 2.500 H9.500 V6.500 H13.500 V13.500 H6.500 V9.500 H2.500 Z" />,
  icon: <path d="M8 2.500 L9.600 6.200 L13.500 6.500 L10.500 9.100 L11.500 13 L8 10.900 L4.500 13 L5.500 9.100 L2.500 6.500 L6.400 6.200 Z" />,
  picture: <><rect x="2.5" y="3" width="11" height="10" rx="1.500" /><path d="M3 11.500 L6.500 8 L9 10.500 L10.800 8.800 L13 11" /><circle cx="10.500" cy="6" r="1" /></>,
  dropper: <path d="M9.500 4.500 L11.500 6.500 M8.500 5.500 L10.500 7.500 L5 13 H3 V11 Z M10.500 3.500 L12.500 5.500 L13.500 3.500 L12.500 2.500 Z" />,
  lock: <><rect x="4" y="7" width="8" height="6" rx="1.200" /><path d="M5.500 7 V5 a2.500 2.500 0 0 1 5 0 V7" /></>,
  instance: <><rect x="2.5" y="2.5" width="7.5" height="7.5" rx="2" /><rect x="6" y="6" width="7.5" height="7.5" rx="2" /></>,
  undo: <path d="M6.5 3 L3 6.5 L6.5 10 M3.5 6.5 H9 a4 3.5 0 0 1 0 7 H7" />,
  redo: <path d="M9.5 3 L13 6.5 L9.5 10 M12.5 6.5 H7 a4 3.5 0 0 0 0 7 H9" />,
  plus: <path d="M8 3.5 V12.5 M3.5 8 H12.5" />,
  minus: <path d="M3.5 8 H12.5" />,
  close: <path d="M4.5 4.5 L11.5 11.5 M11.5 4.5 L4.5 11.5" />,
  up: <path d="M4.5 9.5 L8 6 L11.5 9.5" />,
  down: <path d="M4.5 6.5 L8 10 L11.5 6.5" />,
  right: <path d="M6.5 4.5 L10 8 L6.5 11.5" />,
  hidden: <path d="M2 8 C4.5 12 11.5 12 14 8 M3.5 10 L2 11.5 M12.5 10 L14 11.5 M8 11 V13" />,
  restart: <path d="M12.8 6.5 A5.2 5.2 0 1 0 13.2 8.8 M13 3 V6.7 H9.3" />,
  copy: <><rect x="5.5" y="5.5" width="8" height="8" rx="1.5" /><path d="M10.5 3 H4 a1.5 1.5 0 0 0 -1.5 1.5 V10.5" /></>,
  bin: <path d="M3 4.5 H13 M6 4.5 V3 H10 V4.5 M4.5 4.5 L5.2 13 H10.8 L11.5 4.5" />,
  open: <path d="M3 8 H12 M8.5 4.5 L12 8 L8.5 11.5" />,
};

/** A small line drawing, one stroke wide, in the colour of the text. */
export const Icon = ({ name, size = 16 }: { name: string; size?: number }) => (
  <svg width={size} height={size} viewBox="0 0 16 16" fill="none" stroke="currentColor" strokeWidth="1.4" strokeLinecap="round" strokeLinejoin="round" aria-hidden="true">{shapes[name]}</svg>
);

/** Patterned swatches of traits: told apart by pattern as well as by colour. */
const patterns: readonly { colour: string; draw: ReactNode }[] = [
  { colour: "#1f6f5c", draw: <><circle cx="4" cy="4" r="1.3" /><circle cx="10" cy="4" r="1.3" /><circle cx="4" cy="10" r="1.3" /><circle cx="10" cy="10" r="1.3" /><circle cx="7" cy="7" r="1.3" /></> },
  { colour: "#b9770b", draw: <path d="M0 10 L10 0 M4 14 L14 4 M-3 7 L7 -3 M8 16 L16 8" stroke="#fff" strokeWidth="2.2" /> },
  { colour: "#8a4b7a", draw: <path d="M0 3.5 H14 M0 7.5 H14 M0 11.5 H14" stroke="#fff" strokeWidth="1.7" /> },
  { colour: "#35707f", draw: <path d="M0 0 L14 14 M14 0 L0 14 M7 0 V14" stroke="#fff" strokeWidth="1.3" /> },
  { colour: "#a9441a", draw: <><rect x="0" y="0" width="7" height="7" fill="#fff" opacity="0.85" /><rect x="7" y="7" width="7" height="7" fill="#fff" opacity="0.85" /></> },
  { colour: "#4d5a85", draw: <circle cx="7" cy="7" r="3.2" fill="none" stroke="#fff" strokeWidth="2" /> },
];

/** The swatch of a trait's pattern number. */
export const Swatch = ({ pattern }: { pattern: number }) => {
  const p = patterns[pattern % patterns.length];
  const fill = pattern % patterns.length === 0 ? "#fff" : undefined;
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" style={{ flex: "none", borderRadius: 4, overflow: "hidden" }}>
      <rect width="14" height="14" fill={p?.colour} /><g fill={fill}>{p?.draw}</g>
    </svg>
  );
};
