<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Question;
use Lustrum\Domain\Device\Device;

/** A question with the name of what it shows. */
final readonly class QuestionView
{
    private function __construct(
        public string $key,
        public string $metric,
        public string $metricId,
        public string $text,
    ) {
    }

    public static function of(Question $q, Device $device): self
    {
        return new self($q->key, $device->metricName($q->metric), $q->metric, $q->text);
    }
}
