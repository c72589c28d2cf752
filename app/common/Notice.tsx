import { useEffect } from "react";

/** A sentence at the foot of the page that goes away by itself; bad news stays longer. */
export const Notice = ({ text, bad = false, action, onClose }: { text: string; bad?: boolean; action?: { label: string; run: () => void }; onClose: () => void }) => {
  useEffect(() => {
    const timer = setTimeout(onClose, bad ? 12_000 : 6000);
    return () => clearTimeout(timer);
  }, [text, bad, onClose]);
  return (
    <div className={`notice${bad ? " bad" : ""}`} role={bad ? "alert" : "status"}>
      <span>{text}</span>
      {action && <button type="button" onClick={() => { action.run(); onClose(); }}>{action.label}</button>}
      <button type="button" onClick={onClose}>Close</button>
    </div>
  );
};
