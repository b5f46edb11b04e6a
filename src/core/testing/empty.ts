/** Stands in for 'server-only' where Next is not there to resolve it. */
export {};
