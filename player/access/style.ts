/**
 * What real elements look like: they lie where things are painted and let the pointer through; only
 * a field that is filled in is seen.
 */
export const css = `
.player .access *{position:absolute;box-sizing:border-box;margin:0;padding:0;border:0;border-radius:0;background:none;outline:none;pointer-events:none}
.player .access span{opacity:0;overflow:hidden;white-space:nowrap}
.player .access :is(input,textarea,select){opacity:0;overflow:hidden;resize:none;appearance:none;pointer-events:auto;touch-action:manipulation;user-select:text;-webkit-user-select:text;transform-origin:0 0}
.player .access :is(input,textarea):focus{opacity:1}
.player .access ::placeholder{color:inherit;opacity:1}
`;
