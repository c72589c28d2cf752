import { useState } from "react";
import { CloseButton, Dropdown, Form } from "react-bootstrap";
import { setReference } from "#core/edit";
import type { Reference } from "#core/project";
import { pictureTypes } from "#core/properties";
import { assetAddress, upload } from "../../session/assets";
import { useDisplayedProject } from "../../session/displayed";
import { FileButton } from "../../ui/fields/FileButton";
import { Icon } from "../../ui/Icon";
import { Menu } from "../../ui/floating/Menu";
import { NumberField } from "../../ui/fields/NumberField";
import { Tool } from "../../ui/Tool";
import { useBench, useCommand, usePiece, useWorkpiece } from "../state/context";
import { stageWords } from "./words";

/** How strongly a reference picture shows at first. */
const DIMMED = 0.4;

/** The reference picture under a card: dimmed, locked, no part of the piece. */
const ReferencePicture = ({ reference, zoom }: { reference: Reference; zoom: number }) => {
  const picture = useDisplayedProject((p) => p.assets[reference.picture]);
  if (picture?.kind !== "picture") return null;
  const height = (reference.width * picture.height) / picture.width;
  return (
    <img
      className="reference"
      alt=""
      draggable={false}
      src={assetAddress(picture.hash)}
      style={{
        left: reference.x * zoom,
        top: reference.y * zoom,
        width: reference.width * zoom,
        height: height * zoom,
        opacity: reference.opacity,
      }}
    />
  );
};

/** It is seen as far as the card goes, so that it does not lie over the next one. */
export const ReferenceView = ({ reference, zoom }: { reference: Reference | null; zoom: number }) =>
  reference && (
    <div className="reference-room">
      <div className="reference-ground">
        <ReferencePicture reference={reference} zoom={zoom} />
      </div>
    </div>
  );

/** Takes a picture and puts it under the cards; says why where that cannot be. */
const useTakeReference = () => {
  const workpiece = useWorkpiece();
  return async (file: File): Promise<string | null> => {
    const result = await upload(workpiece.session, file);
    if (!result.ok) return result.reason;
    if (result.kind !== "picture") return null;
    const { id: picture, width } = result;
    workpiece.run((_, piece) =>
      setReference(piece, { picture, x: 0, y: 0, width, opacity: DIMMED }),
    );
    return null;
  };
};

const numbers = [
  { key: "x", words: "x", label: stageWords.referenceX, min: -1e4 },
  { key: "y", words: "y", label: stageWords.referenceY, min: -1e4 },
  { key: "width", words: stageWords.width, label: stageWords.referenceWidth, min: 1 },
] as const;

/** The place, size and strength of the reference picture. */
const ReferenceLine = ({ reference }: { reference: Reference }) => {
  const command = useCommand();
  const tool = useBench((s) => s.tool);
  const toggleTool = useBench((s) => s.toggleTool);
  const asset = useDisplayedProject((p) => p.assets[reference.picture]);
  const name = asset?.name;
  const real = asset?.kind === "picture" ? asset.width : reference.width;
  const share = Math.round((reference.width / real) * 1000) / 10;
  const put = (part: Partial<Reference>) =>
    command(
      (_, piece) => piece.reference && setReference(piece, { ...piece.reference, ...part }),
      "reference",
    );
  return (
    <div className="reference-line" title={name}>
      {numbers.map(({ key, words, label, min }) => (
        <span key={key} className="reference-number">
          {words}
          <NumberField
            label={label}
            value={reference[key]}
            min={min}
            max={1e4}
            step={1}
            onChange={(n) => put({ [key]: n })}
          />
        </span>
      ))}
      <span className="reference-number">
        <NumberField
          label={stageWords.scalePerCent}
          title={stageWords.scaleImagePerCent}
          value={share}
          min={1}
          max={1000}
          step={5}
          unit="%"
          onChange={(n) => put({ width: Math.max(1, Math.round((real * n) / 100)) })}
        />
      </span>
      <Tool
        size="sm"
        disabled={share === 100}
        title={stageWords.showImage}
        onClick={() => put({ width: real })}
      >
        {stageWords.realSize}
      </Tool>
      <Form.Range
        aria-label={stageWords.opacityReferenceImage}
        min={0.05}
        max={1}
        step={0.05}
        value={reference.opacity}
        onChange={(e) => put({ opacity: Number(e.target.value) })}
      />
      <Tool
        size="sm"
        icon="dropper"
        iconSize={13}
        on={tool === "dropper"}
        title={stageWords.pickColourFromImage}
        onClick={() => toggleTool("dropper")}
      >
        {stageWords.pick}
      </Tool>
    </div>
  );
};

/** Putting a reference picture under the stage, and what there is to say about it. */
const ReferencePart = () => {
  const command = useCommand();
  const reference = usePiece((p) => p.reference);
  const take = useTakeReference();
  const [trouble, setTrouble] = useState<string | null>(null);
  return (
    <div className="reference-part">
      <div className="side-head">
        <h2 className="caption">{stageWords.referenceImage}</h2>
        {reference ? (
          <CloseButton
            aria-label={stageWords.removeReferenceImage}
            title={stageWords.remove}
            onClick={() => command((_, piece) => setReference(piece, null))}
          />
        ) : (
          <FileButton
            label={stageWords.chooseFileReferenceImage}
            accept={pictureTypes.join(",")}
            onFiles={([file]) => file && void take(file).then(setTrouble)}
          >
            {stageWords.chooseFile}
          </FileButton>
        )}
      </div>
      {!reference && <Form.Text as="p">{stageWords.imageBehindCardsMeasure2}</Form.Text>}
      {trouble !== null && (
        <p className="refusal" role="alert">
          {trouble}
        </p>
      )}
      {reference && <ReferenceLine reference={reference} />}
    </div>
  );
};

/** The button that opens what there is to say about the reference picture. */
export const ReferenceMenu = () => (
  <Dropdown autoClose="outside" drop="up">
    <Dropdown.Toggle
      variant="tool"
      aria-label={stageWords.referenceImage}
      title={stageWords.imageBehindCardsMeasure}
    >
      <Icon name="picture" size={14} />
    </Dropdown.Toggle>
    <Menu className="reference-menu">
      <ReferencePart />
    </Menu>
  </Dropdown>
);
