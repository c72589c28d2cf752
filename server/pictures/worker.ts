import { drawPicture } from "./draw";

/** What a thread does with what it is sent. */
export default drawPicture;
