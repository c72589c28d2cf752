// Apart from painting, and imported for what it does: combining outlines takes a library that most
// of what is played never asks for.
import clipping from "polygon-clipping";
import { combineWith } from "../paint";

combineWith(clipping);
