import { wrongAtSignIn, type SignInValues } from './signInRules';

const EMPTY: SignInValues = { name: '', email: '', password: '', householdName: '', invitation: '' };
const GOOD: SignInValues = {
  name: 'Runa',
  email: 'runa@ferry-house.example',
  password: 'nine lanterns hang',
  householdName: 'Ferry house',
  invitation: 'K7WM-2RTA-9CXH',
};

describe('what is wrong at the sign-in', () => {
  it.each(['in', 'new', 'join'] as const)('nothing, when all is written: %s', async (way) => {
    expect(await wrongAtSignIn(way, GOOD)).toEqual({});
  });
  it('asks of each way only what it needs', async () => {
    expect(await wrongAtSignIn('in', EMPTY)).toEqual({
      email: 'Write your e-mail address.',
      password: 'Write your password.',
    });
    expect(Object.keys(await wrongAtSignIn('new', EMPTY)).sort()).toEqual([
      'email',
      'householdName',
      'name',
      'password',
    ]);
    expect(Object.keys(await wrongAtSignIn('join', EMPTY)).sort()).toEqual(['email', 'invitation', 'name', 'password']);
  });
  it('says one sentence for a field', async () => {
    const { email, password } = await wrongAtSignIn('new', { ...GOOD, email: 'runa at home', password: 'short' });
    expect(email).toBe('Write an e-mail address, such as runa@ferry-house.example.');
    expect(password).toMatch(/^A password has at least \d+ characters\.$/);
  });
});
