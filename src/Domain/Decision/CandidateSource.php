<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

enum CandidateSource: string
{
    case Failure = 'failure';
    case Team = 'team';
    case Outside = 'outside';
}
