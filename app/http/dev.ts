import { nubbleApp } from "./app";

/**
 * The app while one works on it: without the policy of what pages may load, which would stop what
 * puts changed modules in. Everything else is as it is for people.
 */
export const app = nubbleApp({
  port: Number(process.env.PORT),
  allowHosts: [],
  proxies: 0,
  mode: "development",
  headers: [],
  files: [],
});
