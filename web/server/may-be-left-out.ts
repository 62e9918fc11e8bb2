import { ValidateIf } from 'class-validator';

/** A property that may be left out; null is something, and is looked at like anything else. */
export const MayBeLeftOut = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);
