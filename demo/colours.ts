/** The colours of Kelpway Ferries. */
export const sea = { ink: "#1c2f3a", slate: "#5b6c72", mist: "#e9f0ef", foam: "#ffffff", sand: "#f6efe2", rope: "#c9c3b4", kelp: "#2c9a70", kelpDark: "#1d7a57", tide: "#17495c", buoy: "#e0703a", sun: "#f0c04e" } as const;
