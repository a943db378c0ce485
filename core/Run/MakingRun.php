<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What an article that was made is read as: the keys of its channels and its question, and the metrics that they show. */
final class MakingRun
{
    public const TIME = 'makingTime';
    public const SCRAP = 'scrap';
    public const RIGHT = 'rightFirstTime';

    public const TIME_METRIC = 'making time';
    public const SCRAP_METRIC = 'scrap';
    public const RIGHT_METRIC = 'right first time';
}
