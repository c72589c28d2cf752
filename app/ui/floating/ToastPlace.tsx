import { useState } from "react";
import type { ReactNode } from "react";
import { ToastContainer } from "react-bootstrap";
import { NoticePlace } from "./Notice";

/** A page with a place for its notices, one above the other at its foot. */
export const ToastPlace = ({ children }: { readonly children: ReactNode }) => {
  const [place, setPlace] = useState<HTMLElement | null>(null);
  return (
    <>
      <NoticePlace.Provider value={place}>{children}</NoticePlace.Provider>
      <ToastContainer
        className="notices"
        position="bottom-center"
        containerPosition="fixed"
        ref={setPlace}
      />
    </>
  );
};
