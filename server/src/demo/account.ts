/** The made-up workshop's owner, shown on the sign-in page. */
export const DEMO = {
  workshop: 'Tallowgum Auto Electrics',
  email: 'owner@tallowgum.example',
  password: 'wirrabel',
  name: 'owner',
  says: { address: '4 Siding Lane\nWirrabel Junction', phone: '0000 555 014', licence: '' },
} as const;
