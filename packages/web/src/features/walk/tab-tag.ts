/** A mark of this page in the ids it makes, so that two people adding a wall at once add two. */
export const TAB_TAG = `-${Math.random().toString(36).slice(2, 5)}`;
