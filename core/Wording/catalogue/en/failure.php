<?php

declare(strict_types=1);

return [
    'on' => '{n, plural, one {once} =2 {twice} other {# times}} on {letter}',
    'without' => 'Seen again on {letters}, which {n, plural, one {carries} other {carry}} no fix of it.',
    'called' => '{isTry, select, yes {{n, plural, one {# failure is} other {# failures are}} called “{mode}”.} other {{n, plural, one {# failure is} other {# failures are}} “{to}” now{some, select, yes {; {left, plural, one {# stays} other {# stay}} “{mode}”} other {}}. What they were called stays in their history.}}',
    'standing' => '{standing, select,'
        .' unplaced {Open. {placed, select, yes {Nobody knows at which level it happened ({at})} other {Say with which method and at which level it happened}}: until then nothing closes it.}'
        .' fixUntried {{letter} carries a fix ({fix}) that nobody has tried where it failed.{milder, plural, =0 {} other { Held only at something milder ({mildest}, not {needs}).}}}'
        .' holding {Holds so far ({held, number} of {needed, number}){levelled, select, yes { at {needs} or harder} other {}}, on {letter} with {fix}; a fix that does nothing would have come this far in {chance} of 100.{times, plural, =0 {} one { It had come back once.} other { It had come back # times{spread, select, yes {: {on}} other {}}.}}}'
        .' byHand {Closed in words by {who}: “{why}”. {tried, select, yes {{held, number} of {needed, plural, one {# hold} other {# holds}}{levelled, select, yes { at {needs} or harder} other {}}{held, plural, =0 {} other {; a fix that does nothing would have come this far in {chance} of 100}}.} other {No build carries a fix that was tried.}} When it comes back it is open again.}'
        .' closed {Closed by {letter}, with {fix}: held {held, plural, one {once} =2 {twice} other {# times}}{levelled, select, yes { at {needs} or harder} other { in the same kind of run}}.'
        .' It could still fail in up to {percent} % of tries ({sure} % sure); a fix that does nothing would have come this far in {chance} of 100.}'
        .' cameBack {Came back on {letter}{placed, select, yes { at {at}} other {}}{times, plural, =1 {} other { (# times{spread, select, yes {: {on}} other {}})}}{back, select, milder {: worse than before, at something milder} harder {: at something harder than before} other {}}. It takes {needed, plural, one {# hold} other {# holds}}{levelled, select, yes { at {needs} or harder} other {}}.}'
        .' setAside {Set aside: its cause lies in how it was made or tried. It closes when {letter} holds as hard with that put right.}'
        .' putRight {Set aside and put right: {letter} held {held, plural, one {once} =2 {twice} other {# times}}{placed, select, yes { at {at}} other {}} since.}'
        .' feared {Feared, and never seen.}'
        .' other {Open: no later build carries a fix.}}',
    'closing' => '{state, select,'
        .' closed {Closed by {by}: {held, plural, one {it held once} other {it held # times}} at {needs} or harder;'
        .' a fix that does nothing would have come this far in {percent} of 100.}'
        .' holding {Holds so far ({held, number} of {needed, number}) at {needs} or harder{came, select, yes {, since it came back on {by}} other {}}; a fix that does nothing would have come this far in {percent} of 100.}'
        .' reopened {Open again: it came back on {by}. It takes {needed, plural, one {# hold} other {# holds}} at {needs} or harder.}'
        .' other {Open{came, select, yes {: it came back on {by}} other {}}. It takes {needed, plural, one {# hold} other {# holds}}'
        .' at {needs} or harder.}}{milder, plural, =0 {} one { # hold was at something milder.} other { # holds were at something milder.}}',
    'outside' => 'Outside trials: {letter} came through {amount} without it{levelled, select, yes { at {at}} other {}}{kind, select,'
        .' count {, so it shows in at most {most} % of them} amount {, so on average at most once in {between}}'
        .' other {; how long or how often is not said as a number, so it bounds nothing}}{kind, select, unsaid {} other { ({confidence} %)}}{hardness, select,'
        .' atLeast {, as hard as where it happened or harder} milder {, but at something milder than where it happened}'
        .' other {; whether that was as hard as where it happened is not known}}. That is no trial, and closes nothing.',
    'stillThere' => 'Still there on {letter}.',
    'lastSeen' => 'Last seen on {letter}; {n, plural, =0 {nobody has tried it since} one {not in # run of the same kind since} other {not in # runs of the same kind since}}.',
    'none' => 'No failures yet. When something breaks, this station shows where failures gather and where they vanish.',
    'unrecorded' => '{in, select, use {{serial}, in use outside trials{dated, select, yes { ({day})} other {}}: “{text}”. Open; log it as a failure, so that it can be closed.}'
        .' other {{said, select, yes {“{text}”} other {{n, plural, one {A run} other {# runs}}}} {in, select, just {held only just} other {failed}}{said, select, yes { in {n, plural, one {# run} other {# runs}}} other {}}, and nobody wrote down how: {runs}{more, plural, =0 {} other { and # more}}. {in, select, just {It stands with what is open until somebody says why.} other {Open.}}}}',
    'others' => '{all, select, yes {Build {letter}: none open} other {Beside them}}{followed, plural, =0 {} one {, one that followed from another} other {, # that followed from others}}{aside, plural, =0 {} one {, one set aside} other {, # set aside}}{feared, plural, =0 {} one {, one feared} other {, # feared}}.',
    'open' => '{runs, plural, =0 {} one {One run failed and nobody wrote down how.} other {# runs failed and nobody wrote down how.}}{uses, plural, =0 {} one { In use outside trials one thing went wrong.} other { In use outside trials # things went wrong.}}',
    'noneHere' => 'Build {letter} has no recorded failure. The most frequent one on this device is “{mode}”. {where}',
    'sentence' => 'Build {letter}: {n, plural, one {# failure} other {# failures}} in {modes, plural, one {# mode} other {# modes}}{stands, select, yes {, {modes, plural, one {“{most}”} other {most often “{most}”}}} other {}}{back, select, yes {. “{mode}”: {standing}} other {}}. {without, plural, =0 {Each has a suspected cause.} one {# has no suspected cause yet.} other {# have no suspected cause yet.}}',
    'choice' => '{mode}{placed, select, yes {, {place}} other {}} ({letter})',
    'run' => 'run {number} of {trial}',
];
