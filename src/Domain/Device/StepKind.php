<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

/** What a step of use is for, in the order in which they come. */
enum StepKind: string
{
    case GetReady = 'getReady';
    case Fit = 'fit';
    case Begin = 'begin';
    case Work = 'work';
    case Adjust = 'adjust';
    case Stop = 'stop';
    case Empty = 'empty';
    case Clean = 'clean';
    case Carry = 'carry';
    case Store = 'store';
    case Mend = 'mend';
    case Other = 'other';
}
