/** Of what is described of a roof, how it is covered: that is asked where coverings are chosen, and not beside its shape. */
const OF_COVERING = new Set(['laid', 'row', 'unit', 'ridge_colour', 'valleys']);

export const isOfCovering = (field: { key: string }): boolean => OF_COVERING.has(field.key);
