import { SignInScreen } from '@/features/household/SignInScreen';

export default SignInScreen;
