/** Says that the server is up; the database may still be away. */
export const loader = () => new Response("up", { headers: { "Cache-Control": "no-store" } });
