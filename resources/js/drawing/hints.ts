/** What helps whoever is at a station for the first time; three each, the first thing to do first. */
export const hints = {
  shelf: ['“New block” hangs an empty grid on the wall. Four by four units of 3 in are a good first block.', 'A picture opens its block where you stopped.', 'Words with dots under them explain themselves: touch one.'],
  wall: ['Choose a place, then a unit below. Turn it with the button, or touch it again.', 'Choose “Copies follow”, and one unit you place places its mirror images too.', 'Everything can be undone, and is saved by itself.'],
  cut: ['Each unit shows how it can be made; the list beside it follows your choice.', 'Tick a stack when it is cut: the machine then leaves it out.', 'Going to sew several blocks? Write how many at the top.'],
  order: ['Fewer points to match are easier; fewer joins to learn are quicker.', 'The pictures show what still stands apart after each trip to the machine.', 'Touch the order you will sew in; the plan for the iron follows it.'],
  press: ['The plan is made already: the arrows show where each allowance lies.', 'Touch an arrow to press that seam the other way, and see what it costs.', 'Below are the steps in the order of work. Touch one to see it on the block.'],
  joins: ['The joins that want most care come first.', 'Measure a test seam once: every number here then follows your own machine.', 'Rings on the ruler are places that must meet; the distances are from the start of the seam.'],
  machine: ['The large button, the space bar, or a pedal that types a key goes to the next step.', 'Everything is kept at once: close the page and come back where you stopped.', 'Sewn it wrong? Unpick tells the shortest way back.'],
} as const

export type HintPlace = keyof typeof hints
