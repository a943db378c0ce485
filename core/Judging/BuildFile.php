<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** A file that a build is made from, as the rules need it: known by the hash of its content. */
final readonly class BuildFile
{
    /**
     * @param string $role what it is to the build
     * @param string $part that it is of; empty: the build as such
     */
    public function __construct(
        public string $name,
        public string $role,
        public string $part,
        public string $sha256,
    ) {
    }

    /**
     * In place of which other file it is: of the same kind, of the same part; a part may have several that are called otherwise. The
     * build as such has many, of which those that are called the same but for a version are one.
     */
    public function place(): string
    {
        $stem = (string) preg_replace('/[\s_-]*(v|rev)?[\s_-]*[0-9A-Z]{0,3}$/', '', $this->stem());

        return implode('|', [
            $this->role, mb_strtolower($this->part), $this->part === '' ? mb_strtolower($stem) : '',
            pathinfo($this->name, \PATHINFO_EXTENSION),
        ]);
    }

    /**
     * Is it another one than before, and does no change name it or its part?
     *
     * @param list<ChangeFact> $changes of its build
     */
    public function isUnexplained(self $before, array $changes): bool
    {
        if ($before->sha256 === $this->sha256) {
            return false;
        }

        return array_filter($changes, fn (ChangeFact $c): bool => $c->names($this->stem()) || ($this->part !== '' && $c->alters($this->part))) === [];
    }

    private function stem(): string
    {
        return pathinfo($this->name, \PATHINFO_FILENAME);
    }
}
