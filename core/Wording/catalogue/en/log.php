<?php

declare(strict_types=1);

return [
    'sentence' => 'In the last {days, number} days: {n, plural, =0 {nobody signed in} one {one sign-in by {people, plural, one {one person} other {# people}}} other {# sign-ins by {people, plural, one {one person} other {# people}}}}, {exports, plural, =0 {nothing exported} one {one export} other {# exports}}.',
    'signIn' => 'signed in from {address}',
    'member' => '{what, select, letin {added {name} as {role}} role {made {name} {role}} takenout {removed {name}} other {changed members: {name}}}',
    'password' => 'changed the password',
    'export' => 'exported {name} as {as, select, json {a device file} csv {a table of readings} other {a file}}',
    'import' => 'imported {name}: {n, plural, one {one record} other {# records}}',
    'opened' => 'looked which code was which in {trial} before it was unblinded: {why}',
    'unblinded' => 'unblinded {trial}',
    'storage' => '{workspace} takes {taken} of the {most} that it may take.{full, select, yes { There is little left: put aside what nobody needs.} other {}}',
    'holder' => '{heap, select, yes {The heap} other {{device}}}',
    'where' => '{heap, select, yes {in the heap} other {{device} {letter}}}',
    'files' => '{pictures, plural, =0 {} one {one picture} other {# pictures}}{recordings, plural, =0 {} one {{pictures, plural, =0 {} other {, }}one recording} other {{pictures, plural, =0 {} other {, }}# recordings}}{documents, plural, =0 {} one {{pictures, plural, =0 {{recordings, plural, =0 {} other {, }}} other {, }}one document} other {{pictures, plural, =0 {{recordings, plural, =0 {} other {, }}} other {, }}# documents}}',
];
