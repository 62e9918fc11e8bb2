/** The place of another entity of the file. */
export class Reference {
  constructor(readonly id: number) {}
}

/** A number with the kind of measure that it is, such as IFCFORCEMEASURE, in the units of the file. */
export class Measure {
  constructor(
    readonly measure: string,
    readonly value: number,
  ) {}
}

/** One of the choices of an enumeration. */
export class Choice {
  constructor(readonly name: string) {}
}

/** What an attribute says; nothing where it says nothing. */
export type StepValue = null | boolean | string | Reference | Measure | Choice | readonly StepValue[];

/** An entity of a file: its number, its type in capitals, the line that it begins in, and its attributes by their names. */
export interface StepEntity {
  readonly id: number;
  readonly type: string;
  readonly line: number;
  readonly attributes: Readonly<Record<string, StepValue>>;
}
