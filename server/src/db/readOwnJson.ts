/** JSON that this server wrote from values it had read with their schemas: whoever reads it says what it is, and nothing
 *  checks it again. Never for what comes from outside. */
export const readOwnJson = <Written>(text: string): Written => JSON.parse(text) as Written;
