import type { TechnicianRow } from '@wergon/contract/people';
import type { LabelCell } from '@wergon/core/labels';

export const NAME_ORDERS = ['name', 'number', 'department'] as const;
export const NAME_FORMS = ['as-written', 'last-name-first'] as const;

const lastFirst = (name: string): string => {
  const parts = name.trim().split(/\s+/);
  const last = parts.pop() ?? '';
  return parts.length === 0 ? last : `${last}, ${parts.join(' ')}`;
};

/** One label for every badge that we issued and nobody has lost. */
export function badgeCells(
  people: readonly TechnicianRow[],
  order: (typeof NAME_ORDERS)[number],
  form: (typeof NAME_FORMS)[number],
): LabelCell[] {
  const nameOf = ({ name }: TechnicianRow) => (form === 'as-written' ? name : lastFirst(name));
  const keyOf = (person: TechnicianRow) =>
    order === 'name'
      ? nameOf(person)
      : order === 'number'
        ? person.number.padStart(20, '0')
        : `${person.department} ${nameOf(person)}`;
  return [...people]
    .sort((a, b) => keyOf(a).localeCompare(keyOf(b)))
    .flatMap((person) =>
      person.badges.flatMap(({ code, isBound, revokedAt }) =>
        code === null || isBound || revokedAt !== null
          ? []
          : [
              {
                title: nameOf(person),
                detail: [person.number, person.department].filter(Boolean).join(' · '),
                code,
              },
            ],
      ),
    );
}
