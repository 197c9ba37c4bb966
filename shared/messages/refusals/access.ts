/** Who may come in, sign and send, and in what shape. */
export const ACCESS = {
  file_too_large: (p: { bytes: number }) => `The file is larger than ${p.bytes / 1e6} MB. Take a smaller photo.`,
  files_much: (p: { mostBytes: number }) =>
    `You kept ${p.mostBytes / 1e6} MB of photos and papers within a day; the next are taken tomorrow. Those that were kept are safe.`,
  key_missing: () => 'The entry came without its key. Load the page again.',
  cross_site: () => 'This came from another site and was refused. Open the shop by its own address.',
  not_json: () => 'What was sent could not be read. Load the page again.',
  not_json_type: () => 'What was sent does not say that it is JSON. Load the page again.',
  too_deep: () => 'What was sent lies too deep inside itself to be read. Load the page again.',
  too_large: (p: { bytes: number }) =>
    `This is more than ${p.bytes >= 1e6 ? `${p.bytes / 1e6} MB` : `${p.bytes / 1000} kB`}. Send it in parts.`,
  not_signed_in: () => 'You are signed out. Sign in again; what you typed is kept on this device.',
  not_your_role: (p: { role: string }) => `As ${p.role} you can look but not do this. Ask the owner.`,
  sign_in_wrong: () => 'Name or password is wrong. Try again.',
  asked_too_often: (p: { seconds: number }) =>
    `This address was asked too often. Nothing is lost; ask again in ${p.seconds} seconds.`,
  sign_in_closed: (p: { minutes: number }) => `Too many wrong tries. Wait ${p.minutes} minutes, then try again.`,
  password_closed: (p: { minutes: number }) => `Too many wrong passwords here. Wait ${p.minutes} minutes, then try again.`,
  password_again: () => 'Give your own password once more for this. What you typed is kept.',
  code_needed: () => 'Type the six digits that your phone shows, or a recovery code.',
  code_wrong: () => 'This code does not fit now, or was used already. Wait for the next one and type that.',
  pin_spent: () =>
    'Too many wrong PINs in a row. Sign in once with your password on another device; then your PIN counts again.',
  setup_code_wrong: () =>
    'This is not the code that the start command printed. Look at the terminal where the shop was started.',
  setup_closed: () => 'A shop is opened with the code that the start command prints. Start it with npm start.',
  pin_needed: () => 'Sign with your PIN first. What you typed is kept.',
  pin_wrong: () => 'The PIN does not fit. Try again.',
  pin_closed: (p: { minutes: number }) =>
    `Too many wrong PINs. Wait ${p.minutes} minutes, or sign in with your password on another device.`,
  own_sign_in_needed: () => 'This is not done with a PIN. Sign in with your own password on another device.',
}
