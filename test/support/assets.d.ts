/** The address of a file, as the bundler gives it to a worker. */
declare module '*?url' {
  const address: string
  export default address
}
