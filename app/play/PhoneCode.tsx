import { QRCodeSVG } from "qrcode.react";
import { playWords } from "./words";

/** An address as a code to point a phone's camera at, and to be read. */
export const PhoneCode = ({ address }: { readonly address: string }) => (
  <div className="play-phone">
    <QRCodeSVG value={address} size={176} marginSize={2} title={playWords.codeOf(address)} />
    <p className="quiet small-text">{playWords.sameRoom}</p>
    <a href={address} target="_blank" rel="noreferrer" className="small-text">
      {playWords.openAddress}
    </a>
  </div>
);
