<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\InvalidInput;

/** A requirement as the assessment sees it; the limit of a rate is a share between 0 and 1. */
final readonly class Requirement
{
    /**
     * @param float        $limit      in the unit of the results; for rate and check a share from 0 to 1
     * @param float        $coverage   share of articles that 'every' speaks of
     * @param list<string> $conditions states that must have been covered, such as 'soil=moist'
     */
    private function __construct(
        public Kind $kind,
        public Direction $direction,
        public float $limit,
        public float $confidence,
        public float $coverage,
        public array $conditions,
        public bool $nonParametric,
    ) {
    }

    /** The same rule where its conditions were looked at already. */
    public function without(): self
    {
        return new self($this->kind, $this->direction, $this->limit, $this->confidence, $this->coverage, [], $this->nonParametric);
    }

    public function withLimit(float $limit): self
    {
        return new self($this->kind, $this->direction, $limit, $this->confidence, $this->coverage, $this->conditions, $this->nonParametric);
    }

    /**
     * @param list<string> $conditions
     *
     * @throws InvalidInput
     */
    public static function of(
        Kind $kind,
        Direction $direction,
        float $limit,
        float $confidence,
        float $coverage = 0.9,
        array $conditions = [],
        bool $nonParametric = false,
    ): self {
        foreach (['confidence' => $confidence, 'coverage' => $coverage] as $name => $share) {
            if (!($share > 0 && $share < 1)) {
                throw InvalidInput::because(sprintf('The %s lies between 0 and 1, both excluded.', $name), 'requirement/'.$name);
            }
        }
        if (!is_finite($limit) || ($kind === Kind::Rate && ($limit < 0 || $limit > 1))) {
            throw InvalidInput::because(
                $kind === Kind::Rate ? 'The limit of a rate is a share from 0 to 1.' : 'The limit is not a number.', 'requirement/limit',
            );
        }

        if ($kind === Kind::Spread && $limit <= 0) {
            throw InvalidInput::because('The limit of a spread lies above nought.', 'requirement/limit');
        }

        return new self($kind, $direction, $limit, $confidence, $coverage, $conditions, $nonParametric);
    }
}
