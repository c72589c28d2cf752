import { Nav } from "react-bootstrap";

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly tabs: readonly { readonly value: T; readonly words: string }[];
  readonly onOpen: (value: T) => void;
}

/** Tabs over what they open: one stop for Tab, the arrow keys go on. */
export const Tabs = <T extends string>({ label, value, tabs, onOpen }: Props<T>) => (
  <Nav
    role="tablist"
    variant="underline"
    className="tabs"
    aria-label={label}
    activeKey={value}
    onSelect={(key) => {
      const tab = tabs.find((t) => t.value === key);
      if (tab) onOpen(tab.value);
    }}
  >
    {tabs.map((t) => (
      <Nav.Link key={t.value} as="button" type="button" eventKey={t.value}>
        {t.words}
      </Nav.Link>
    ))}
  </Nav>
);
