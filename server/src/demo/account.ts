/** The made-up workshop's owner, shown on the sign-in page. */
export const DEMO = { workshop: 'Tallowgum Auto Electrics', email: 'owner@tallowgum.example', password: 'wirrabel', name: 'owner' } as const;
