<?php

declare(strict_types=1);

namespace Lustrum\Record;

/**
 * What there is to know of a kind of record: everything else about it (addresses, import and export, history, access
 * tests, the description of the interface) is read from here.
 */
final readonly class Kind
{
    /**
     * @param string                                   $name         in the history and in refusals: 'requirement'
     * @param string                                   $plural       in addresses and device files: 'requirements'
     * @param class-string<Record<covariant RecordInput>> $class
     * @param class-string<RecordInput>                $input
     * @param class-string                             $view
     * @param array<string, string>                    $references   field of the input => name of the kind that it names; 'list.field' in each row of a list
     * @param bool                                     $withdrawable may it be taken back by hand, with a reason?
     * @param bool                                     $put          is it written at the common address, or has it one of its own?
     * @param bool                                     $carriesFile  does a file go with it, in and out?
     * @param bool                                     $ofWorkspace does it belong to the workspace rather than to a device, so that no device file carries it?
     * @param bool                                     $numerous     are there so many that they are let go as soon as they are written or read?
     */
    public function __construct(
        public string $name,
        public string $plural,
        public string $class,
        public string $input,
        public string $view,
        public array $references,
        public bool $withdrawable = true,
        public bool $put = true,
        public bool $carriesFile = false,
        public bool $numerous = false,
        public bool $ofWorkspace = false,
    ) {
    }
}
