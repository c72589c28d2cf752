import type { Config } from "@react-router/dev/config";

export default {
  appDirectory: "app",
  buildDirectory: process.env.NUBBLE_BUILD ?? "build",
  ssr: true,
} satisfies Config;
