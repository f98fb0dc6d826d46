/** The cards of a job. What a sheet says in its own words goes through as it is. */
export const steps = {
  protect: { title: (gear: string) => `Put on ${gear}.` },
  kit: {
    none: "No parts are needed so far.",
    noStock: "No stock has the parts this strip will spoil.",
    take: (kits: string) => `Take ${kits}.`,
    nothingRenewed: "Nothing is renewed unless you find a reason.",
    covers: "It covers what this strip spoils.",
    late: (days: number) => ` In hand in ${days} days.`,
    someMissing: " Some parts are missing: see below. Get them before you shut anything.",
  },
  tools: {
    title: "Lay out the tools in the order you will need them.",
    why: "A second trip costs more than any kit.",
  },
  permits: {
    title: (permits: string) => `Ask for the permits: ${permits}.`,
    why: "The site's rules and the local code decide whether, and by whom, this may be done.",
    danger: (permit: string) => `${permit}.`,
    ask: "Permit numbers, or who said none is needed?",
  },
  notify: {
    fire: (names: string) => `Tell the fire service and the duty officer: ${names} will be out of service.`,
    users: (names: string) => `Tell the users: ${names} will be out of service.`,
    cold: (names: string) => `Tell the users: ${names} will have cold water only.`,
    why: "An engine that connects to a dead hydrant loses the minutes that count.",
    whyZones: "Until it is back nothing puts a fire out there.",
    whyUsers: "Whoever is not told counts on it, and looks for the fault somewhere else.",
    noWater: (zones: string) => `A fire at ${zones} meets no water.`,
    watch:
      "Agree a fire watch with the duty officer. Your local authority sets after how many hours one must stand.",
    ask: "Who was told?",
    call: ({ name, who, phone, days }: { name: string; who: string; phone?: string; days?: number }) =>
      `${name}: ${[who, phone, days === undefined || days === 0 ? undefined : `${days} ${days === 1 ? "day" : "days"} before`].filter((each) => each !== undefined).join(", ")}`,
  },
  live: {
    title: (medium: string) => `Nothing is shut: ${medium} stays in the pipe. Is that right, here and now?`,
  },
  shutByHand: {
    title: "Shut and lock every way in, by the site's drawing.",
    ask: "Which valves are shut, with which locks?",
    can: "No line is drawn for this valve, so nothing here was computed.",
    do: "Have a second person check your list of closures.",
  },
  blocked: {
    noIsolation: "There is no safe isolation as the line stands.",
    noIsolationWhy: "Nothing may be opened until every way in can be shut.",
    noRelease: (medium: string) => `There is no safe way to let ${medium} out of this valve.`,
    noReleaseWhy: "Nothing may be opened until the pressure has a way out.",
    noReleaseReason: (medium: string) =>
      `This valve has no port, gauge valve or fitting to let ${medium} out, and ${medium} is never let out at the cover. Have a port fitted, or empty the section elsewhere and prove it there.`,
  },
  shut: {
    named: (id: string, name: string) => `${id} ${name}`,
    shut: (name: string) => `Shut ${name} and lock it.`,
    check: (name: string) => `Check that ${name} stands shut, and lock it.`,
    switchOff: (name: string) => `Switch ${name} off and lock it.`,
    turn: (name: string, to: string) => `Turn ${name} to: ${to}.`,
    standsSo: (name: string, as: string) => `Check that ${name} stands so: ${as}. Lock it.`,
    stood: (from: string) => `It stood: ${from}.`,
    heldFor: (valve: string) => `shut for ${valve}, another job: put your own lock on, too`,
    capOff: "its cap off first, slowly: the gland may have leaked into it",
    passes: "It was found to pass: it stays shut, but is no barrier.",
    before: "Shut before the plan changed; it stays shut.",
    turns: (turns: number) => `${turns} turns, slowly at the end`,
    second: "second barrier",
    confined: "in a confined space",
  },
  stopPump: { title: (name: string) => `Stop ${name}, switch its isolator off and lock it.` },
  pumpOut: {
    title: (name: string) => `Pump ${name} down until it holds at zero gauge.`,
    why: "It has one relief valve: while that is off, nothing may be in it that could boil.",
    ask: "Pressure it was pumped down to, and when?",
  },
  openBleed: { title: (name: string) => `Open ${name} and leave it open.` },
  drain: {
    // The title is kept with the job for everybody's lists, whatever their units: the amount stands beside it.
    title: (name: string) => `Open drain ${name} and let it run out.`,
    lowest: (time: string) =>
      `It is the lowest drain of the shut-in section; about ${time} through its bore.`,
    little: "It is the lowest drain of the shut-in section: what is left comes at once, and is little.",
    airIn: (vent: string) => ` Open ${vent} to let air in.`,
    stays: (amount: string) => ` About ${amount} lies lower and stays.`,
  },
  drainAtValve: {
    title: "Release slowly at the valve itself: this section has no drain.",
    why: (amount: string) =>
      `${amount} stand in it. Crack the cap, stand to the side, stop when it spits hard.`,
  },
  discharge: {
    title: (minutes: number) => `Keep your hands off for ${minutes} minutes: what is switched off runs down.`,
    why: "Its supply is locked, but it holds a charge, or turns on, for a while.",
    each: (time: string, says: string) => `${time}: ${says}`,
    afterwards: "Let out what is left, and prove it.",
  },
  stored: {
    title: "Let out what is stored, or wait it out.",
    why: "Closing valves does not take it away.",
    ask: "What was let out, and how do you know?",
  },
  dead: {
    title: (name: string) => `Prove ${name} electrically dead.`,
    ask: "Which tester, and what did it show: live point, here, live point?",
  },
  release: {
    why: "The gentlest way out this valve has; the cover itself is the last.",
    runsOut: (litres: string) => `${litres} stand higher and run out here`,
    withPower: " Its motor runs it, so its power is locked off only afterwards.",
  },
  liquidOut: {
    title: (name: string) =>
      `Get the liquid out of ${name} first: hold the pressure until its level is gone.`,
    why: (above: string, ice: string) =>
      `Held above ${above} it boils away. Drawn below ${ice} with liquid in it, what is left turns to dry ice and hides pressure.`,
    ask: "How do you know that no liquid is left, and at what pressure?",
  },
  evacuate: {
    title: (where: string) => `Draw the air out: vacuum pump to the ${where}.`,
    at: (name: string) => `Draw the air out: vacuum pump to ${name}.`,
    why: {
      ammonia:
        "Air and damp that stay in gather in the condenser, eat oil and steel, and lift relief valves.",
      co2: "Damp makes acid with CO2, and air spoils every pressure that you read later.",
    },
    other: "Air that stays in spoils every pressure that you read later.",
    ask: "How low did it come, and did it hold with the pump shut off?",
  },
  charge: {
    // Titles are kept with the job for everybody's lists, whatever their units: figures stand beside them.
    title: (where: string) => `Let vapour in at the ${where}, from a cylinder that stands upright.`,
    at: (name: string) => `Let vapour in at ${name}, from a cylinder that stands upright.`,
    until: (above: string) => `until the gauge shows more than ${above}`,
    why: {
      co2: (ice: string) =>
        `Liquid that meets less than ${ice} makes a plug of dry ice. Vapour first, slowly.`,
      other: "Liquid that flashes into an empty section hammers. Vapour first, slowly.",
    },
  },
  gate: {
    title: (where: string) => `Read the gauge at the ${where}: may liquid come?`,
    at: (name: string) => `Read the gauge at ${name}: may liquid come?`,
    least: (above: string) => `at least ${above}`,
    why: "Liquid comes only now. What reads lower is no reason to go on: let more vapour in and read again.",
  },
  away: {
    title: {
      bench: "Lay it on the bench. Is it empty, clean and without pressure?",
      carried: "Set it down where you work. Is it empty and without pressure?",
    },
    why: "No gauge stands on it here. Open its drain, its vent or its ends first, away from you.",
  },
  untested: {
    title: "Write on it: not tested in its line yet.",
    why: "Whoever fits it tests it there, before anybody relies on it.",
  },
  notYet: (name: string, valve: string) => `${name} stays without, by the job on ${valve}`,
  others: {
    title: (valves: string) => `Wait for the job on ${valves}.`,
    shared:
      "What it holds shuts off your part as well, and both cannot be at work at once: shut nothing before it is done.",
    first:
      "It held them before you shut yours: you open when they have opened, so that your part fills under your hand.",
    later: "Nothing comes here while they hold it. No test counts before, and nobody may be told.",
    can: "When they open it, what you have opened fills, whoever stands there.",
    do: "Leave nothing open behind you. Agree with them who watches what fills.",
  },
  putBack: {
    title: (says: string) => `Put it back: ${says}.`,
    moved: {
      shut: (names: string) => `open ${names} again, slowly`,
      "switch-off": (names: string) => `switch ${names} on again`,
      "open-point": (names: string) => `shut ${names} again`,
    },
    why: "It was moved for the card before, and service wants it as it was.",
  },
  moves: {
    shut: (names: string) => `shut ${names} for this`,
    "switch-off": (names: string) => `switch ${names} off for this`,
    "open-point": (names: string) => `open ${names} for this`,
  },
  gauge: {
    first: (where: string) => `Prove zero at the ${where}.`,
    at: (name: string) => `Prove zero at ${name}.`,
    fit: {
      gauge: (name: string) => `${name} hangs on what is opened, and on nothing that is live.`,
      vent: (name: string) =>
        `Fit a gauge at ${name}: it hangs on what is opened, and on nothing that is live.`,
      drain: (name: string) =>
        `Fit a gauge at ${name}: it hangs on what is opened, and on nothing that is live.`,
    },
    openAgain: (names: string) => ` Then open ${names} again and leave it open.`,
    again: "Read the gauge again: still zero?",
    climbedOnLine:
      "If it climbed, a closure passes: name it, and the plan finds another. Then the wait starts anew.",
    climbed: "If it climbed, a closure passes: find it. Then the wait starts anew.",
    can: "A gauge that is blocked or broken reads zero, too.",
    do: "Look that its needle moved when you shut in, or try it on a live outlet first.",
  },
  hold: {
    title: (minutes: number) => `Shut in and wait ${minutes} minutes.`,
    shutFirst: (names: string, minutes: number) => `Shut ${names} and wait ${minutes} minutes.`,
    why: "A valve that passes a little fills the section again. Only time shows it.",
    afterwards: (where: string) => `Read the gauge at the ${where} again.`,
    afterwardsAt: (name: string) => `Read the gauge at ${name} again.`,
  },
  mark: {
    where: (end: string) => `Where does the ${end} sit?`,
    free: "Either way round works; written down, nobody has to wonder.",
    wrong: (right: string) =>
      `It has to be: ${right}. Found otherwise it is put right at the end, and the record says so.`,
    port: "On the wrong port it works backwards or not at all.",
    terminal: "On the wrong terminal it works backwards or not at all.",
  },
  otherBuild: {
    title: (registered: string) => `Look again: the register says "${registered}".`,
    why: (found: string) =>
      `You noted what shows another build: ${found}. If you tapped wrongly, undo it and note it again. If it stands so, all that follows goes by what stands here, and the register is put right when the job is signed.`,
    cue: "the work goes by what stands here",
  },
  confirm: {
    title: (ask: string) => `${ask} Look now.`,
    putRight: (noted: string, right: string) =>
      `You found: ${noted}. That was wrong. It has to be: ${right}.`,
  },
  position: {
    takingOff: (name: string) => `The next part comes off only with the valve ${name.toLowerCase()}.`,
    puttingIn: "The next part goes in only so.",
    theEnd: (name: string) => `It is left ${name.toLowerCase()}.`,
  },
  askTwice: {
    title: "There may be pressure behind the next step. Is it right, here and now?",
    why: (next: string) => `Next: ${next}`,
  },
  crack: {
    title: (bolts: string, of: number, out: number, joint: string, stay: string) =>
      `Slacken all ${of} ${bolts.toLowerCase()} and take ${out} out. Crack the ${joint.toLowerCase()} while ${stay} stay in.`,
    stayAt: {
      opposite: (stay: number) => `${stay} opposite ones`,
      apart: (stay: number) => `the other ${stay}`,
      bottom: (stay: number) => `the ${stay} at the bottom`,
      top: (stay: number) => `the ${stay} at the top`,
    },
    joint: "joint",
    why: "If a closure passes after all, it shows here, and the joint still holds.",
    cue: (stay: number) => `${stay} stay in until it is cracked`,
  },
  blank: {
    "goes-in": {
      title: (header: string) => `Blank ${header} where it stands open.`,
      why: "Others blow into it. The blank keeps what they let out from you; your own lock and tag go on it.",
      cue: "it comes out before the valve goes on",
    },
    "comes-out": {
      title: (header: string) => `Take the blank out of ${header}, and look into it.`,
      why: "With the blank left in, the valve cannot blow off and its vessel has no relief.",
      cue: "look: free all the way",
    },
  },
  strip: {
    lastOut: (stay: number, name: string) => `Take the last ${stay} ${name.toLowerCase()} out.`,
    holds: (parts: string) => `It holds the ${parts}.`,
    cameForIt: "It is what this job came for.",
    toBeSeen: "It has to be renewed or looked at.",
    keep: (why: string) => `Keep it: ${why}`,
    renewed: (why: string) => `It is renewed: ${why}`,
    count: (pieces: number) => `count ${pieces}`,
    marks: (marks: string) => `mark: ${marks}`,
    fastener: (thread: string, drive: string) => `${thread}, ${drive}`,
    lengths: (pieces: number, length: string, where: string) => `${pieces} × ${length} ${where}`,
    slackened: "slacken only: it stays in",
  },
  task: {
    most: (what: string, most: number) => `${what}: never more than ${most}`,
    before: (what: string, count: number) => `${what} the first time: ${count}`,
    within: (seconds: number) => `Round within ${seconds} s`,
  },
  cure: {
    title: "Let the locker cure before anything pulls at it.",
    why: "Its clock runs from the moment the last one went in. Loaded sooner it never holds.",
    each: (name: string, time: string) => `${name}: ${time}`,
    afterwards: "It may be loaded.",
  },
  soak: {
    noLonger: (time: string) => `out of it after ${time} at the latest`,
    title: (minutes: number) => `Wait ${minutes} minutes.`,
    afterwards: "Look whether it is done.",
  },
  fit: {
    goesBack: "It goes back where it came from.",
    pull: (force: string, arm: string) => `pull ${force} at the end of its arm, ${arm}`,
    renewed: (why: string) => `A NEW one goes in: ${why}`,
    rules: {
      noted: (ask: string, noted: string) => `${ask} You noted: ${noted}.`,
      never: (bases: string) => `Never ${bases} here, whatever is in the van.`,
      bases: {
        silicone: "silicone grease",
        petroleum: "petroleum grease",
        "food-grade": "food-grade grease",
        anaerobic: "locker",
        ptfe: "PTFE",
        metallic: "anti-seize",
        acid: "acid",
        soap: "soap",
        solvent: "solvent",
        "refrigerant-oil": "refrigerant oil",
        "plug-cock": "plug-cock grease",
      },
      lubricate: (supply: string, on: string) => `${supply} on ${on}`,
      keepOff: (what: string) => `Keep it off ${what}`,
      fullFace: (bolts: number, circle: string) => `Full face: ${bolts} holes on a circle of ${circle}`,
      ring: (outside: string, circle: string) =>
        `Ring: at most ${outside} outside, it lies within the bolts on ${circle}`,
      staysDry: "Stays dry",
      threadDry: "Thread clean and dry",
      onThread: (supply: string) => `${supply} on the thread`,
    },
  },
  tighten: {
    title: (bolts: string, passes: number) =>
      `Pull the ${bolts.toLowerCase()} crosswise, in ${passes} passes.`,
    evenly: "Evenly, or the joint cocks and leaks.",
    waitedFor: (part: string) =>
      `They were left loose until the ${part.toLowerCase()} was in. Evenly, or the joint cocks.`,
    passTitle: (bolts: string, pass: number, of: number, torque: string) =>
      `${bolts}, pass ${pass} of ${of}, to ${torque}.`,
    lastTitle: (bolts: string, of: number, torque: string) => `${bolts}, last round of ${of}, to ${torque}.`,
    asStated: {
      dry: "The figure is for dry threads, as they are.",
      oiled: "The figure is for oiled threads, as they are.",
      "anti-seize": "The figure is for anti-seize threads, as they are.",
      grease: "The figure is for grease threads, as they are.",
    },
    onThread: {
      dry: "Nothing is",
      oiled: "A wet film is",
      "anti-seize": "Anti-seize is",
      grease: "Grease is",
    },
    conditions: { dry: "dry", oiled: "oiled", "anti-seize": "anti-seize", grease: "grease" },
    lowered: (film: string, stated: string, torque: string) =>
      `${film} on these threads, so the figure is lower than the ${stated} one (${torque}). Pull smoothly; stop at the click.`,
  },
  tightenOne: {
    title: (name: string) => `Now tighten ${name.toLowerCase()}.`,
    why: (part: string) => `It was left loose until ${part} was in.`,
  },
  tray: {
    title: "Account for the tray.",
    why: "Nothing left over that should have gone in, nothing in that should have come out.",
  },
  shutPoint: {
    capped: (name: string) => `Shut ${name} and put its cap on.`,
    bleed: (name: string) => `Shut ${name}.`,
    drain: (name: string) => `Shut drain ${name}.`,
    vent: (name: string) => `Shut ${name}.`,
  },
  bypass: {
    open: (name: string) => `Open the bypass ${name} slowly, before anything is shut.`,
    shut: (name: string) => `Shut the bypass ${name} again.`,
  },
  startPump: { title: (name: string) => `Take your lock off ${name} and start it.` },
  open: {
    open: (name: string) => `Take your lock off ${name} and open it slowly.`,
    "switch-on": (name: string) => `Take your lock off ${name} and switch it on.`,
    "turn-back": (name: string) => `Take your lock off and turn back ${name}.`,
    "leave-stem": (name: string) => `Take your lock off ${name}. Leave it so.`,
    "leave-shut": (name: string) => `Take your lock off ${name}. Leave it shut.`,
    warm: (name: string) => `Take your lock off ${name} and crack it: warm up, then open it slowly.`,
    warmCue: (time: string) =>
      `cracked for ${time} at least, until the pipe is hot and what runs off is steam alone`,
    lock: (lock: string) => `lock ${lock}`,
    capOn: "its cap on again",
    turns: (turns: number) => `${turns} turns, all of them`,
  },
  openByHand: {
    flow: (flow: string) => `Let ${flow} in again, slowly. Take its locks off.`,
    title: "Open what you shut, slowly, lowest first. Take every lock off.",
    wrote: (says: string) => `You wrote: ${says}`,
    nothing: "nothing",
    ask: "Which valves are open again?",
  },
  tell: {
    title: (names: string, several: boolean) =>
      `Tell those you told: ${names} ${several ? "are" : "is"} back in service.`,
    why: "Until they know, they plan without it.",
    ask: "Who was told?",
  },
  tag: { why: "The next person reads the tag, not the computer." },
  secondSignature: {
    title: "A second person looks at it and signs.",
  },
  signOff: {
    title: "Sign off: back in service.",
    why: "Your name stands under what was found, done and measured.",
  },
};
