<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What results of a method rest on: where it changes, results before and after are not simply alike. */
final readonly class MethodState
{
    /**
     * @param list<Channel>   $channels
     * @param list<Constant>  $constants
     * @param list<Question>  $questions
     * @param list<Factor>    $factors
     * @param list<Condition> $conditions
     * @param list<SettingRule> $settings
     */
    public function __construct(
        public string $rig,
        public string $heldWhen,
        public string $endPoint,
        public array $channels,
        public array $constants,
        public array $questions,
        public array $factors = [],
        public array $conditions = [],
        public array $settings = [],
    ) {
    }

    /** @param array<array-key, mixed> $row a view as the history kept it; metrics of channels stand there by their names */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['rig'] ?? ''), Row::text($row['heldWhen'] ?? ''), Row::text($row['endPoint'] ?? ''),
            array_map(Channel::fromRow(...), Row::rows($row['channels'] ?? [])),
            array_map(Constant::fromRow(...), Row::rows($row['constants'] ?? [])),
            array_map(Question::fromRow(...), Row::rows($row['questions'] ?? [])),
            array_map(Factor::fromRow(...), Row::rows($row['factors'] ?? [])),
            array_map(Condition::fromRow(...), Row::rows($row['conditions'] ?? [])),
            array_map(SettingRule::fromRow(...), Row::rows($row['settings'] ?? [])),
        );
    }
}
