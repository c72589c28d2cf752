import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import {
  addTrait,
  addTraitValue,
  duplicateTraitValue,
  lostWith,
  moveTrait,
  moveTraitValue,
  removeTrait,
  removeTraitValue,
  renameTrait,
  renameTraitValue,
  rulesForValue,
  setPattern,
  setRest,
} from "#core/edit";
import { restOf, valuesOf, variantsOf } from "#core/looks";
import { inOrder } from "#core/project";
import type { Trait } from "#core/project";
import { Menu } from "../../ui/Menu";
import { Icon, Swatch, swatchCount } from "../../ui/Icon";
import { afterMenu } from "../../ui/afterMenu";
import { NameField } from "../../ui/NameField";
import { SortItem, SortList } from "../../ui/SortList";
import { useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { usePiece } from "../state/state";

const quickStarts: readonly { words: string; name: string; values: readonly string[] }[] = [
  { words: "Yes or no", name: "Checked", values: ["no", "yes"] },
  { words: "Off or on", name: "Power", values: ["off", "on"] },
  {
    words: "Contact: none, hovered, pressed",
    name: "Contact",
    values: ["none", "hovered", "pressed"],
  },
  {
    words: "Contact with focus as well",
    name: "Contact",
    values: ["none", "hovered", "pressed", "focused"],
  },
  { words: "Usable: yes, no", name: "Usable", values: ["yes", "no"] },
  { words: "A choice of three", name: "Choice", values: ["first", "second", "third"] },
];

const TraitRow = ({
  trait,
  fresh,
  onFresh,
}: {
  trait: Trait;
  fresh: string | null;
  onFresh: (id: string | null) => void;
}) => {
  const session = useSession();
  const piece = usePiece();
  const edits = useEdits();
  const [renaming, setRenaming] = useState<string | null>(null);
  const naming = renaming ?? fresh;
  const rest = restOf(trait);
  const stop = () => {
    setRenaming(null);
    onFresh(null);
  };
  const lost = (value: string, name: string) =>
    `Remove ${name}: ${lostWith(piece, trait, value).text} go with it`;
  const remove = (value: string, name: string) => {
    const { text } = lostWith(piece, trait, value);
    const change = removeTraitValue(piece, trait, value);
    if (change && session.edit(change))
      edits.offer(`${trait.name}: ${name} was removed, and with it ${text}.`, "Undo", () =>
        session.undo(),
      );
  };
  const duplicate = (value: string, name: string) => {
    const made = duplicateTraitValue(piece, trait, value);
    if (!session.edit(made.change)) return;
    setRenaming(made.id);
    const now = session.project.pieces[piece.id];
    const along = now && rulesForValue(now, trait.id, value, made.id);
    if (along?.change.ops.length)
      edits.offer(
        `${name} was duplicated as it looks. ${along.change.ops.length === 1 ? "One rule names" : `${along.change.ops.length} rules name`} it.`,
        "Bring them along",
        () => {
          const later = session.project.pieces[piece.id];
          const change = later && rulesForValue(later, trait.id, value, made.id);
          if (change && session.edit(change.change)) edits.showRules(change.ids);
        },
      );
  };
  const drop = () => {
    const before = variantsOf(piece).length;
    if (session.edit(removeTrait(piece, trait)))
      edits.offer(
        `The trait ${trait.name} was removed: ${before} variants became ${variantsOf(session.project.pieces[piece.id] ?? piece).length}. What was said for its resting value stays.`,
        "Undo",
        () => session.undo(),
      );
  };
  const values = valuesOf(trait);
  return (
    <SortItem id={trait.id} name={trait.name} className="trait">
      {(grip) => (
        <>
          <div className="trait-head">
            {grip}
            <Dropdown>
              <Dropdown.Toggle
                as="button"
                type="button"
                className="swatch-button"
                aria-label={`Swatch of ${trait.name}`}
                title="Choose another swatch"
              >
                <Swatch pattern={trait.pattern} />
              </Dropdown.Toggle>
              <Menu className="swatch-menu">
                {Array.from({ length: swatchCount }, (_, i) => (
                  <button
                    key={i}
                    type="button"
                    aria-label={`Swatch ${i + 1}`}
                    aria-pressed={i === trait.pattern}
                    onClick={() => {
                      session.edit(setPattern(piece, trait.id, i));
                    }}
                  >
                    <Swatch pattern={i} />
                  </button>
                ))}
              </Menu>
            </Dropdown>
            {naming === trait.id ? (
              <NameField
                value={trait.name}
                label="Trait name"
                onDone={(name) => {
                  stop();
                  if (name) session.edit(renameTrait(piece, trait.id, name));
                }}
              />
            ) : (
              <button
                type="button"
                className="plain-name"
                title="Rename"
                onClick={() => setRenaming(trait.id)}
              >
                {trait.name}
              </button>
            )}
            <button
              type="button"
              className="tool small"
              aria-label={`Remove trait ${trait.name}`}
              title="Remove this trait"
              onClick={drop}
            >
              <Icon name="close" size={12} />
            </button>
          </div>
          <ul className="trait-values" aria-label={`Values of ${trait.name}`}>
            <SortList
              ids={values.map((v) => v.id)}
              onMove={(id, index) => {
                session.edit(moveTraitValue(piece, trait, id, index));
              }}
            >
              {values.map((v) => (
                <SortItem key={v.id} id={v.id} name={v.name} as="li">
                  {(inner) => (
                    <>
                      {inner}
                      <button
                        type="button"
                        className={`rest-mark${v.id === rest ? " on" : ""}`}
                        aria-pressed={v.id === rest}
                        aria-label={`${v.name} is the resting value`}
                        title={v.id === rest ? "Resting value" : "Make this the resting value"}
                        onClick={() => {
                          if (v.id !== rest) session.edit(setRest(piece, trait.id, v.id));
                        }}
                      />
                      {naming === v.id ? (
                        <NameField
                          value={v.name}
                          label="Value name"
                          onDone={(name) => {
                            stop();
                            if (name) session.edit(renameTraitValue(piece, trait.id, v.id, name));
                          }}
                        />
                      ) : (
                        <button
                          type="button"
                          className="plain-name"
                          title="Rename"
                          onClick={() => setRenaming(v.id)}
                        >
                          {v.name}
                        </button>
                      )}
                      <button
                        type="button"
                        className="tool small"
                        aria-label={`Duplicate value ${v.name}`}
                        title={`A new value that looks like ${v.name}`}
                        onClick={() => duplicate(v.id, v.name)}
                      >
                        <Icon name="copy" size={12} />
                      </button>
                      {values.length > 1 && (
                        <button
                          type="button"
                          className="tool small"
                          aria-label={`Remove value ${v.name}`}
                          title={`Remove ${v.name}`}
                          onPointerEnter={(e) => {
                            e.currentTarget.title = lost(v.id, v.name);
                          }}
                          onClick={() => remove(v.id, v.name)}
                        >
                          <Icon name="close" size={12} />
                        </button>
                      )}
                    </>
                  )}
                </SortItem>
              ))}
            </SortList>
            <li>
              <button
                type="button"
                className="add-line"
                onClick={() => {
                  const made = addTraitValue(piece, trait, "value");
                  if (session.edit(made.change)) setRenaming(made.id);
                }}
              >
                + value
              </button>
            </li>
          </ul>
        </>
      )}
    </SortItem>
  );
};

/** A trait by its values, typed in one go. */
const ListField = ({
  onAdd,
  onClose,
}: {
  onAdd: (name: string, values: readonly string[]) => void;
  onClose: () => void;
}) => {
  const [text, setText] = useState("");
  const [head, tail] = text.includes(":")
    ? [text.slice(0, text.indexOf(":")).trim(), text.slice(text.indexOf(":") + 1)]
    : ["Choice", text];
  const values = [
    ...new Set(
      tail
        .split(/[,;\n]/)
        .map((v) => v.trim())
        .filter(Boolean),
    ),
  ];
  return (
    <form
      className="trait-list"
      onSubmit={(e) => {
        e.preventDefault();
        if (values.length > 1) onAdd(head || "Choice", values);
      }}
    >
      <input
        autoFocus
        aria-label="Name and values of the trait"
        placeholder="Deck: car, saloon, sun"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === "Escape") onClose();
        }}
        onBlur={() => {
          if (text === "") onClose();
        }}
      />
      <span className="quiet small-text">
        {values.length > 1
          ? `${values.length} values. Enter makes the trait.`
          : "Values with commas between them."}
      </span>
    </form>
  );
};

/** The dimensions along which the piece varies. */
export const Traits = () => {
  const session = useSession();
  const piece = usePiece();
  const [fresh, setFresh] = useState<string | null>(null);
  const [listing, setListing] = useState(false);
  const add = (name: string, values: readonly string[]) => {
    const made = addTrait(piece, name, values);
    if (session.edit(made.change)) afterMenu(() => setFresh(made.id));
  };
  const traits = inOrder(piece.traits);
  const count = variantsOf(piece).length;
  return (
    <div className="side-part traits">
      <div className="side-head">
        <h2 className="caption">
          Traits
          {traits.length > 0 && (
            <span className="caption-count">
              {" "}
              {count} variant{count === 1 ? "" : "s"}
            </span>
          )}
        </h2>
        <Dropdown align="end" drop="up">
          <Dropdown.Toggle
            as="button"
            type="button"
            className="tool small"
            aria-label="New trait"
            title="New trait"
          >
            <Icon name="plus" size={14} />
          </Dropdown.Toggle>
          <Menu>
            {quickStarts.map((q) => (
              <Dropdown.Item
                key={q.words}
                as="button"
                type="button"
                onClick={() => add(q.name, q.values)}
              >
                {q.words}
              </Dropdown.Item>
            ))}
            <Dropdown.Item
              as="button"
              type="button"
              onClick={() => afterMenu(() => setListing(true))}
            >
              A list of choices …
            </Dropdown.Item>
          </Menu>
        </Dropdown>
      </div>
      {traits.length === 0 && !listing && (
        <p className="quiet small-text">
          A trait is something that varies, such as Alerts: off, on. Every combination of values
          becomes a card.
        </p>
      )}
      <SortList
        ids={traits.map((t) => t.id)}
        onMove={(id, index) => {
          session.edit(moveTrait(piece, id, index));
        }}
      >
        {traits.map((t) => (
          <TraitRow key={t.id} trait={t} fresh={fresh === t.id ? fresh : null} onFresh={setFresh} />
        ))}
      </SortList>
      {listing && (
        <ListField
          onAdd={(name, values) => {
            setListing(false);
            const made = addTrait(piece, name, values);
            session.edit(made.change);
          }}
          onClose={() => setListing(false)}
        />
      )}
    </div>
  );
};
