<?php

declare(strict_types=1);

return [
    'making' => 'Making',
    'makingPurpose' => 'How long an article takes to make, what is thrown away, and whether it comes right first time.',
    'makingStop' => 'As the tools and the room ask for.',
    'right' => 'No step went wrong, and nothing was thrown away',
    'notRight' => 'A step of making it went wrong.',
    'asLogged' => 'as it was logged',
    'pasted' => '{added, plural, =0 {No part} one {# part} other {# parts}} {kept, select, yes {added} other {would be added}}, {changed, number} {kept, select, yes {changed} other {would be changed}}{left, plural, =0 {} one {; # row is left out} other {; # rows are left out}}.',
    'made' => '{n, plural, one {# step} other {# steps}}{timed, select, yes {, {time}} other {, not all of it timed}}{wrong, plural, =0 {, right first time so far} one {, # went wrong} other {, # went wrong}}{scrap, plural, =0 {} one {, # piece scrapped} other {, # pieces scrapped}}{done, select, yes {; made} other {}}',
    'spent' => 'Spent so far: {hours} h and {cost} {currency}{planned, select, yes {; planned when it was decided: {plannedHours} h and {plannedCost} {currency}{over, select, yes {, which the hours have passed} other {}}} other {; nothing was planned}}{running, plural, =0 {} one {. A clock is running} other {. # clocks are running}}.',
    'forNow' => 'Whatever was tried on {letter} rests on {parts}{more, plural, =0 {} other { and # more}}, {n, plural, one {which is} other {which are}} there for now only.',
    'relied' => '{by} {isChecked, select, yes {relies on {what}, which was changed here; checked by {checked}} other {relies on {what}, which was changed here: have it checked again}}.',
    'wouldTouch' => '“{candidate}” changes {what}, on which {by} relies: ask first, and have it checked again.',
    'fileChanged' => '{name}: not the file of {parent}, nobody said why.',
    'asserted' => '{what} {value}, asserted (page {page}){asked, select, yes {; asked is {limit}{met, select, yes {, which it would meet} no {, which it would not meet} other {}}{shown, select, yes {. Measured here} other {. Nobody measured it}}} other {}}.',
    'takenOver' => 'Taken over from {from}{differs, select, yes {; differs in {what}} other {, as it was}}{known, select, yes {. There: {said}} other {. No requirement hung on it there}}.',
    'module' => '{shown}{newer, select, yes {; {letters} came after it} other {, the newest}}.',
    'masses' => '{known, select, yes {{mass}{left, plural, =0 {} one {, without one part that nobody weighed} other {, without # parts that nobody weighed}}} other {Nobody weighed its parts}}{forNow, plural, =0 {} one {; one part is there for now and counts in neither} other {; # parts are there for now and count in neither}}',
];
