import { useRef } from "react";
import type { ReactNode } from "react";
import { Button } from "react-bootstrap";

interface Props {
  readonly label: string;
  /** media types and endings, as the attribute of HTML */
  readonly accept: string;
  readonly onFiles: (files: readonly File[]) => void;
  readonly variant?: string;
  readonly multiple?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A button that asks for files. */
export const FileButton = (props: Props) => {
  const { label, accept, onFiles, variant = "outline-primary", multiple = false } = props;
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        variant={variant}
        {...(variant === "tool" ? {} : { size: "sm" as const })}
        aria-label={label}
        title={label}
        className={props.className}
        onClick={() => field.current?.click()}
      >
        {props.children}
      </Button>
      <input
        ref={field}
        type="file"
        hidden
        multiple={multiple}
        accept={accept}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          e.target.value = "";
          if (files.length) onFiles(files);
        }}
      />
    </>
  );
};
