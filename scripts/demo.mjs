import { readOptions, serve } from './lib/serve.mjs'
import { main } from './lib/steps.mjs'

await main(() => {
  console.log('Veldmoor, demo shop')
  return serve({
    name: 'demo',
    demo: true,
    options: readOptions(process.argv.slice(2)),
    announce: (address) => {
      console.log(`\n  ${address}\n`)
      console.log('  sign in as  marit (owner), tam (maker) or quill (inspector, reads only)')
      console.log('  password    bacon-and-brine; PINs on a shared tablet: marit 4071, tam 2846')
      console.log('\n  Ctrl-C stops it; --fresh starts over.')
    },
  })
})
