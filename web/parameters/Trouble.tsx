import { FieldNote } from '../ui/controls';

/** Why something was not done; nothing where it was. */
export const Trouble = ({ words }: { readonly words: string | undefined }) =>
  words === undefined ? null : (
    <FieldNote data-fault role="alert">
      {words}
    </FieldNote>
  );
