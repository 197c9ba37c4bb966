// Folders of services from the ground up: each imports from floors below its own, and from no neighbour.
module.exports = [
  ['files', 'ledger', 'shop'],
  ['store-rows'],
  ['finish'],
  ['book'],
  ['calendar', 'cards', 'checks', 'instruments', 'office', 'recipes', 'rules', 'steps'],
  ['holds', 'people', 'plans'],
  ['judging', 'store'],
  ['places', 'rub', 'smoke', 'upgrade', 'views'],
  ['lots', 'press'],
  ['slicing', 'voids'],
  ['corrections'],
]
