<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class SpendingInput implements RecordInput
{
    private const MOMENT = '/^([0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{2}:[0-9]{2}(:[0-9]{2}(\.[0-9]+)?)?(Z|[+-][0-9]{2}:[0-9]{2}))?$/';

    /**
     * @param float|null $hours   as one number; null: the clock tells
     * @param string     $started RFC 3339, where a clock was started; empty: none was
     * @param string     $stopped empty: it is running
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $what = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $who = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000 hours.', min: 0, max: 1e5)]
        public ?float $hours = null,
        #[Assert\Range(notInRangeMessage: 'Between 0 and ten million.', min: 0, max: 1e7)]
        public float $cost = 0.0,
        #[Assert\Regex(self::MOMENT, message: 'A moment such as 2026-03-02T14:05:00Z.')]
        public string $started = '',
        #[Assert\Regex(self::MOMENT, message: 'A moment such as 2026-03-02T14:05:00Z.')]
        public string $stopped = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
