<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Shared\Refusal\NotThere;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All kinds of record, each after those that it refers to. */
final class Registry
{
    /** @var array<string, Kind>|null by name */
    private ?array $kinds = null;

    /** @param iterable<Registration> $registrations */
    public function __construct(
        #[AutowireIterator(Registration::class)]
        private readonly iterable $registrations,
    ) {
    }

    /** @return array<string, Kind> by name */
    public function kinds(): array
    {
        if ($this->kinds === null) {
            $waiting = [];
            foreach ($this->registrations as $registration) {
                foreach ($registration::kinds() as $kind) {
                    $waiting[$kind->name] = $kind;
                }
            }
            $this->kinds = self::ordered($waiting);
        }

        return $this->kinds;
    }

    /** @throws NotThere */
    public function named(string $name): Kind
    {
        return $this->kinds()[$name] ?? throw NotThere::here();
    }

    /** @param class-string $class of an entity */
    public function of(string $class): Kind
    {
        foreach ($this->kinds() as $kind) {
            if ($class === $kind->class || is_subclass_of($class, $kind->class)) {
                return $kind;
            }
        }
        throw new \LogicException($class.' is not registered as a kind of record.');
    }

    /**
     * @param array<string, Kind> $waiting
     *
     * @return array<string, Kind>
     */
    private static function ordered(array $waiting): array
    {
        $ordered = [];
        while ($waiting !== []) {
            $ready = array_filter(
                $waiting, static fn (Kind $k): bool => array_diff($k->references, array_keys($ordered), [$k->name]) === [],
            );
            if ($ready === []) {
                throw new \LogicException(
                    'These kinds refer to each other in a circle, or to one that is missing: '.implode(', ', array_keys($waiting)),
                );
            }
            $ordered += $ready;
            $waiting = array_diff_key($waiting, $ready);
        }

        return $ordered;
    }
}
