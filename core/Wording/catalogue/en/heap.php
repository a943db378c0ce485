<?php

declare(strict_types=1);

return [
    'sentence' => '{left, plural, =0 {Nothing waits to be gone through.} one {One file is not gone through yet:} other {# files are not gone through yet:}}'
        .'{left, plural, =0 {} other { {during, plural, =0 {none lies within a run} one {one lies within a run} other {# lie within runs}}'
        .'{near, plural, =0 {} one {, one right beside one} other {, # right beside one}}'
        .'{nowhere, plural, =0 {} one {, one near none} other {, # near none}}{untold, plural, =0 {} one {; of one nothing says when it was taken} other {; of # nothing says when they were taken}}.}}'
        .'{any, select, yes { {kept, number} kept with runs, {aside, number} put aside.} other {}}',
    'waits' => '{left, plural, one {One file in the heap is not gone through yet} other {# files in the heap are not gone through yet}}',
    'run' => '{device} {letter}, {trial}, run {number, number}',
    'laid' => '{lies, select, during {{early, select, yes {begins {time} before it} other {{time} into it}}} after {{time} after its end} before {{time} before it began} nowhere {no run near} other {nothing says when it was taken}}',
    'one' => '{lies, select, during {{early, select, yes {It begins {time} before {run}, and goes on into it.} other {It begins {time} into {run}.}}} after {It was taken {time} after the end of {run}.} before {It was taken {time} before {run} began.} nowhere {No run is near it: say of which it is, or put it aside.} other {Nothing says when it was taken: say of which run it is, or put it aside.}}',
    'clock' => '{files, plural, one {One file} other {# files}}; {side, select, right {its clock is taken as right} ahead {its clock is {time} ahead, which is taken off} other {its clock is {time} behind, which is added}}',
    'here' => '{where, select, run {build {letter}, {trial}, run {number, number}} build {build {letter}} kept {gone through} aside {put aside} other {in the heap}}',
];
