import { namesIn } from '../../quantities/expression';

/** Whether an expression mentions a parameter. */
export const mentions = (text: string, name: string): boolean => namesIn(text, (word) => word === name).length > 0;
