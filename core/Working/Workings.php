<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\InvalidInput;

/** All sums by name: the classes of the folder `Sum`. */
final class Workings
{
    /** @var array<string, Work>|null */
    private static ?array $all = null;

    /** @return array<string, Work> by name */
    public static function all(): array
    {
        if (self::$all === null) {
            self::$all = [];
            foreach (glob(__DIR__.'/Sum/*.php') ?: [] as $file) {
                $class = basename($file, '.php');
                $working = new (__NAMESPACE__.'\\Sum\\'.$class)();
                if ($working instanceof Working) {
                    self::$all[lcfirst($class)] = new Work($working, $working->about());
                }
            }
        }

        return self::$all;
    }

    /** @throws InvalidInput */
    public static function named(string $name): Work
    {
        return self::all()[$name] ?? throw new InvalidInput(
            'working.unknown', sprintf('There is no working called “%s”.', mb_substr($name, 0, 60)), 'name',
        );
    }
}
