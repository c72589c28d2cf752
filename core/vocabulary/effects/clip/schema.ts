import { z } from "zod";
import { id } from "../../../project/scalars";

/** Starts, halts or turns a clip of the piece. */
export const clip = { layer: id, act: z.enum(["play", "pause", "turn"]) };
