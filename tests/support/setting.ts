/** What `npm test` says of its servers, by the name of a variable of the environment. */
export const setting = (name: string): string => {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set: run the tests with "npm test"`)
  return value
}
