/**
 * Marks a text that `t` says later: where it stands in a table that outlives a change of the job's words, or comes from a
 * worker. Workers must not import `t` itself: it waits for its language, and a message that comes meanwhile would be lost.
 */
export const defineMessage = <Text extends string>(text: Text): Text => text;
