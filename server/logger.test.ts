import { describe, expect, it } from "vitest";
import { faultOf } from "./logger";

describe("a fault in the log", () => {
  it("has its kind, code and places, and of its message the beginning of the first line", () => {
    const error = Object.assign(new TypeError(`first ${"x".repeat(500)}\nsecond`), {
      code: "EPIPE",
    });
    const fault = faultOf(error);
    expect(fault).toMatchObject({ type: "TypeError", code: "EPIPE" });
    expect(fault.message).toHaveLength(200);
    expect(fault.message).not.toContain("second");
    expect(fault.stack).toMatch(/^at /);
    expect(fault.stack).not.toContain("first");
  });

  it("has nothing of what was sent to the database", () => {
    const parent = Object.assign(new Error("duplicate key"), {
      code: "23505",
      detail: "Key (label)=(My secret pier) already exists.",
      parameters: ["My secret pier"],
    });
    const error = Object.assign(new Error("Validation error"), {
      name: "SequelizeUniqueConstraintError",
      parent,
      sql: "insert into changes values ('My secret pier')",
    });
    const fault = faultOf(error);
    expect(fault.cause).toMatchObject({ code: "23505", message: "duplicate key" });
    expect(JSON.stringify(fault)).not.toContain("secret");
  });

  it("may be anything that was thrown", () => {
    expect(faultOf("away")).toEqual({ type: "string", message: "away", stack: "" });
    expect(faultOf(undefined).message).toBe("undefined");
  });
});
