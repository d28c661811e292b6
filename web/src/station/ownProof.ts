import { askPin, proveBadge } from './stationApi.ts';

/** What came of proving who one is: a token, or why not. */
export type Proving =
  | { readonly kind: 'proved'; readonly proof: string }
  | { readonly kind: 'wrong' | 'wait' | 'unreachable' }
  /** Neither a badge nor a PIN has been shown. */
  | { readonly kind: 'nothing' };

/** Remembers with what somebody was known at this page, for as long as they stand here: their own time is shown only to
 *  whoever has proved to the server that it is theirs. */
export function createOwnProof() {
  let phoneOf: string | null = null;
  let badge: { readonly technician: string; readonly code: string } | undefined;
  let proved: { readonly technician: string; readonly proof: string } | undefined;
  const answered = (technician: string, answer: Awaited<ReturnType<typeof askPin>>): Proving => {
    if (answer.kind === 'ok') {
      proved = { technician, proof: answer.value.proof };
      return { kind: 'proved', proof: answer.value.proof };
    }
    if (answer.kind === 'unreachable') return { kind: 'unreachable' };
    return { kind: answer.status === 429 ? 'wait' : answer.status >= 500 ? 'unreachable' : 'wrong' };
  };
  return {
    /** This is the phone of a technician, which the server knows. */
    holdPhone: (owner: string | null): void => {
      phoneOf = owner;
    },
    /** A badge has brought somebody to the screen. */
    showBadge: (technician: string, code: string): void => {
      badge = { technician, code };
    },
    /** Nobody stands here any more, or somebody else. */
    forget: (): void => {
      badge = undefined;
      proved = undefined;
    },
    /** Checks a PIN; whoever knows it has proved who they are. */
    checkPin: async (technician: string, pin: string): Promise<Proving> =>
      answered(technician, await askPin(technician, pin)),
    /** A token for somebody, from what they have shown at this page. */
    prove: async (technician: string): Promise<Proving> => {
      if (proved?.technician === technician) return { kind: 'proved', proof: proved.proof };
      if (badge?.technician === technician)
        return answered(technician, await proveBadge(technician, badge.code));
      return phoneOf === technician
        ? answered(technician, await proveBadge(technician, ''))
        : { kind: 'nothing' };
    },
  };
}
export type OwnProof = ReturnType<typeof createOwnProof>;
