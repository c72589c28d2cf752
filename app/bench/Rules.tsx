import { Dropdown } from "react-bootstrap";
import { addRule, duplicateRule, moveRule, piecesOf, removeRule, setRule } from "#core/edit";
import { ruleTrouble, triggerText } from "#core/behaviour";
import { conditionText, traitsOf, valuesOf } from "#core/looks";
import { inOrder, ROOT, triggerTypes } from "#core/project";
import type { Change, Condition, Easing, Effect, Motion, Piece, Project, Rule, TriggerType } from "#core/project";
import { Menu } from "../common/Menu";
import { Icon, Swatch } from "../common/Icon";
import { useProject, useSession } from "../store/session-context";
import { PATIENCE } from "../store/session";
import { NumberField } from "../common/NumberField";
import { useChosen, usePiece } from "./state";

type Parts = Partial<Omit<Rule, "id">>;

const Pick = <T extends string>({ label, value, options, onPick, broken = false }: { label: string; value: T; options: readonly { value: T; words: string }[]; onPick: (v: T) => void; broken?: boolean }) => (
  <select className={`word${broken ? " broken" : ""}`} aria-label={label} value={value} onChange={(e) => onPick(e.target.value as T)}>
    {!options.some((o) => o.value === value) && <option value={value}>removed</option>}
    {options.map((o) => <option key={o.value} value={o.value}>{o.words}</option>)}
  </select>
);

/** The condition of a rule as a sentence; opens to tick the values it allows. */
const WhilePart = ({ piece, when, onChange }: { piece: Piece; when: Condition; onChange: (c: Condition) => void }) => {
  const toggle = (trait: string, value: string, all: readonly string[]) => {
    const now = when[trait] ?? [];
    const next = now.includes(value) ? now.filter((v) => v !== value) : all.filter((v) => v === value || now.includes(v));
    const { [trait]: _old, ...rest } = when;
    onChange(next.length === 0 || next.length === all.length ? rest : { ...rest, [trait]: next });
  };
  const words = conditionText(piece, when);
  const gone = Object.keys(when).filter((t) => !piece.traits[t]);
  return (
    <Dropdown autoClose="outside">
      <Dropdown.Toggle as="button" type="button" className={`word${gone.length ? " broken" : ""}`} aria-label="While">{words ? `while ${words}` : "in every variant"}</Dropdown.Toggle>
      <Menu className="while-menu">
        {traitsOf(piece).length === 0 && <p className="px-3 m-0 quiet">The piece has no traits yet.</p>}
        {gone.map((t) => <Dropdown.Item key={t} as="button" type="button" onClick={() => { const { [t]: _gone, ...rest } = when; onChange(rest); }}>Forget the removed trait</Dropdown.Item>)}
        {traitsOf(piece).map((t) => (
          <fieldset key={t.id}>
            <legend><Swatch pattern={t.pattern} /> {t.name} is</legend>
            {valuesOf(t).map((v) => (
              <label key={v.id}><input type="checkbox" className="form-check-input" checked={when[t.id]?.includes(v.id) ?? false} onChange={() => toggle(t.id, v.id, valuesOf(t).map((x) => x.id))} /> {v.name}</label>
            ))}
          </fieldset>
        ))}
      </Menu>
    </Dropdown>
  );
};

const EffectPart = ({ piece, effect, onChange, onRemove }: { piece: Piece; effect: Effect; onChange: (e: Effect) => void; onRemove: (() => void) | null }) => {
  const project = useProject();
  const screens = piecesOf(project, "screen").filter((s) => s.id !== piece.id);
  const traits = traitsOf(piece);
  const what = effect.type === "set" ? `trait ${effect.trait}` : effect.type;
  const options = [
    ...traits.map((t) => ({ value: `trait ${t.id}`, words: t.name })),
    ...(screens.length || effect.type === "go" ? [{ value: "go", words: "go to" }] : []),
    { value: "back", words: "go back" },
  ];
  const change = (to: string) => {
    if (to === "back") onChange({ type: "back" });
    else if (to === "go") { const first = screens[0]; if (first) onChange({ type: "go", screen: first.id }); }
    else {
      const trait = piece.traits[to.slice(6)];
      const other = trait && valuesOf(trait)[1];
      if (trait) onChange({ type: "set", trait: trait.id, to: other ? { value: other.id } : { step: "next" } });
    }
  };
  const trait = effect.type === "set" ? piece.traits[effect.trait] : undefined;
  return (
    <span className="effect">
      <Pick label="Effect" value={what} options={options} onPick={change} broken={effect.type === "set" && !trait} />
      {effect.type === "set" && trait && <>
        <span>becomes</span>
        <Pick label={`New value of ${trait.name}`} value={"value" in effect.to ? effect.to.value : `step ${effect.to.step}`}
          options={[...valuesOf(trait).map((v) => ({ value: v.id, words: v.name })), { value: "step next", words: "the next" }, { value: "step previous", words: "the previous" }, { value: "step opposite", words: "the opposite" }]}
          onPick={(v) => onChange({ ...effect, to: v.startsWith("step ") ? { step: v.slice(5) as "next" } : { value: v } })} />
      </>}
      {effect.type === "go" && <Pick label="Screen" value={effect.screen} options={screens.map((s) => ({ value: s.id, words: s.name }))} onPick={(screen) => onChange({ type: "go", screen })} broken={!project.pieces[effect.screen]} />}
      {onRemove && <button type="button" className="tool small" aria-label="Remove this effect" onClick={onRemove}><Icon name="close" size={11} /></button>}
    </span>
  );
};

const easings: readonly { value: string; words: string }[] = ["linear", "ease", "ease-in", "ease-out", "ease-in-out"].map((e) => ({ value: e, words: e }));

const MotionPart = ({ motion, onChange }: { motion: Motion; onChange: (m: Motion) => void }) => (
  <span className="effect">
    <Pick label="Motion" value={motion.kind} options={[{ value: "cut", words: "cut" }, { value: "fade", words: "fade" }, { value: "tween", words: "tween" }]} onPick={(kind) => onChange({ ...motion, kind })} />
    {motion.kind !== "cut" && <>
      <NumberField label="Duration in milliseconds" value={motion.duration} min={0} max={60_000} step={20} onChange={(duration) => onChange({ ...motion, duration })} /><span>ms</span>
      <Pick label="Easing" value={typeof motion.easing === "string" ? motion.easing : "custom"} options={[...easings, { value: "custom", words: "bézier" }]}
        onPick={(v) => onChange({ ...motion, easing: v === "custom" ? [0.3, 0, 0.2, 1] : (v as Easing) })} />
      {typeof motion.easing !== "string" && motion.easing.map((n, i) => (
        <NumberField key={i} label={`Bézier ${["x1", "y1", "x2", "y2"][i]}`} value={n} min={i % 2 ? -10 : 0} max={i % 2 ? 10 : 1} step={0.05}
          onChange={(v) => onChange({ ...motion, easing: (motion.easing as readonly number[]).map((o, k) => (k === i ? v : o)) as unknown as Easing })} />
      ))}
      {motion.delay > 0 && <><span>after</span><NumberField label="Delay in milliseconds" value={motion.delay} min={0} max={60_000} step={20} onChange={(delay) => onChange({ ...motion, delay })} /><span>ms</span></>}
    </>}
  </span>
);

/** What a new rule most likely does: turn the first trait on, or where there is none, go to another screen. */
const usualEffect = (project: Project, piece: Piece): Effect[] => {
  const trait = traitsOf(piece)[0];
  const screen = piecesOf(project, "screen").find((s) => s.id !== piece.id);
  if (!trait) return screen ? [{ type: "go", screen: screen.id }] : [];
  return [{ type: "set", trait: trait.id, to: Object.keys(trait.values).length === 2 ? { step: "opposite" } : { step: "next" } }];
};

const RuleLine = ({ rule }: { rule: Rule }) => {
  const session = useSession();
  const project = useProject();
  const piece = usePiece();
  const set = (parts: Parts, gesture: string | null = null) => { session.edit(setRule(piece, rule.id, parts), gesture, PATIENCE); };
  const run = (change: Change | null) => { if (change) session.edit(change); };
  const trouble = ruleTrouble(project, piece, rule);
  const sources = [{ value: "", words: "the whole piece" }, ...Object.values(piece.layers).filter((l) => l.id !== ROOT).map((l) => ({ value: l.id, words: l.name }))];
  const contact = rule.trigger.type === "hover" || rule.trigger.type === "press";
  const setEffect = (i: number, e: Effect) => set({ effects: rule.effects.map((old, k) => (k === i ? e : old)) });
  return (
    <li className={`rule${rule.on ? "" : " off"}${trouble ? " troubled" : ""}`}>
      <input type="checkbox" className="form-check-input" role="switch" aria-label="Rule is on" checked={rule.on} onChange={() => set({ on: !rule.on })} />
      <div className="sentence">
        {rule.trigger.type === "delay"
          ? <><Pick label="Trigger" value="delay" options={triggerTypes.map((t) => ({ value: t, words: t === "delay" ? "After" : `When … ${triggerText(t)}` }))} onPick={(type) => set({ trigger: { type } })} />
              <NumberField label="Wait in milliseconds" value={rule.trigger.ms ?? 0} min={0} max={600_000} step={50} onChange={(ms) => set({ trigger: { type: "delay", ms } })} /><span>ms</span></>
          : <><span>When</span>
              <Pick label="Source" value={rule.source ?? ""} options={sources} onPick={(v) => set({ source: v === "" ? null : v })} broken={rule.source !== null && !piece.layers[rule.source]} />
              <Pick label="Trigger" value={rule.trigger.type} options={triggerTypes.map((t) => ({ value: t, words: t === "delay" ? "… after a delay" : triggerText(t) }))} onPick={(type: TriggerType) => set({ trigger: type === "delay" ? { type, ms: 500 } : { type } })} /></>}
        <WhilePart piece={piece} when={rule.when} onChange={(when) => set({ when })} />
        <span className="arrow" aria-hidden="true">→</span>
        {rule.effects.map((e, i) => (
          <span key={i} className="effect">
            {i > 0 && <span>and</span>}
            <EffectPart piece={piece} effect={e} onChange={(next) => setEffect(i, next)} onRemove={rule.effects.length > 1 ? () => set({ effects: rule.effects.filter((_, k) => k !== i) }) : null} />
          </span>
        ))}
        <button type="button" className="tool small" aria-label="Another effect" title="Another effect" onClick={() => set({ effects: [...rule.effects, ...(usualEffect(project, piece).length ? usualEffect(project, piece) : [{ type: "back" } as const])] })}><Icon name="plus" size={12} /></button>
        {contact && <button type="button" className={`word toggle${rule.undo ? " on" : ""}`} aria-pressed={rule.undo} onClick={() => set({ undo: !rule.undo })}>{rule.undo ? "undone when it ends" : "stays when it ends"}</button>}
        <MotionPart motion={rule.motion} onChange={(motion) => set({ motion }, `motion ${rule.id}`)} />
        {trouble && <span className="trouble">{trouble}</span>}
      </div>
      <span className="rule-tools">
        <button type="button" className="tool small" aria-label="Move rule up" onClick={() => run(moveRule(piece, rule.id, -1))}><Icon name="up" size={13} /></button>
        <button type="button" className="tool small" aria-label="Move rule down" onClick={() => run(moveRule(piece, rule.id, 1))}><Icon name="down" size={13} /></button>
        <button type="button" className="tool small" aria-label="Duplicate rule" title="Duplicate" onClick={() => run(duplicateRule(piece, rule).change)}><Icon name="copy" size={13} /></button>
        <button type="button" className="tool small" aria-label="Remove rule" title="Remove" onClick={() => run(removeRule(piece, rule.id))}><Icon name="bin" size={13} /></button>
      </span>
    </li>
  );
};

/** What happens when: the piece's rules as sentences, edited in place. */
export const Rules = () => {
  const session = useSession();
  const piece = usePiece();
  const chosen = useChosen();
  const rules = inOrder(piece.rules);
  const source = chosen[0] !== undefined && chosen[0] !== ROOT ? chosen[0] : null;
  const layer = source === null ? null : piece.layers[source]?.name;
  const add = (given: Parts) => { session.edit(addRule(piece, { source, effects: usualEffect(session.project, piece), ...given }).change); };
  return (
    <div className="rules">
      {rules.length === 0 && <p className="drawer-empty">No rules yet. A rule says what happens when: “When the whole piece is clicked → Alerts becomes the opposite, tween 200 ms”. {traitsOf(piece).length === 0 && piece.kind === "component" ? "Declare a trait first, so that there is something to change." : ""}</p>}
      <ol>{rules.map((r) => <RuleLine key={r.id} rule={r} />)}</ol>
      <div className="rule-add">
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => add({})}>New rule{layer ? ` on ${layer}` : ""}</button>
        {layer && <button type="button" className="btn btn-sm btn-link" onClick={() => add({ source: null })}>on the whole piece</button>}
      </div>
    </div>
  );
};
