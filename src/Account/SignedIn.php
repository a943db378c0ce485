<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Shared\Doctrine\InstantType;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** A place where somebody is signed in: a browser on a phone, on a desk. Gone when it is signed out or too old. */
#[ORM\Entity]
#[ORM\Table(name: 'signed_in')]
#[ORM\Index(name: 'signed_in_of', columns: ['user_id'])]
class SignedIn
{
    public const IDLE_DAYS = 14;
    public const LONGEST_DAYS = 90;
    private const PASSWORD = 'password';
    private const NOTED_EVERY_MINUTES = 10;

    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $since;

    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $lastSeen;

    /** The panel whose rater this device was handed to; it reaches nothing else meanwhile. Written by itself alone. */
    #[ORM\Column(type: UuidType::NAME, nullable: true)]
    private ?Uuid $handedOverFor = null;

    /** Why it is over before its time; empty: it is not. */
    #[ORM\Column(length: 20)]
    private string $ended = '';

    /** Hash of where it is signed in from: known again, and not told. */
    #[ORM\Column(length: 64)]
    private string $address;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private User $user,
        #[ORM\Column(length: 200)]
        private string $device,
        \DateTimeImmutable $now,
        string $address = '',
    ) {
        $this->address = $address === '' ? '' : SignInThrottle::hash('address:'.$address);
        $this->id = Uuid::v7();
        $this->since = $this->lastSeen = $now;
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function user(): User
    {
        return $this->user;
    }

    public function handedOverFor(): ?Uuid
    {
        return $this->handedOverFor;
    }

    public function isOver(\DateTimeImmutable $now): bool
    {
        return $this->ended !== '' || $this->lastSeen < $now->modify(sprintf('-%d days', self::IDLE_DAYS)) || $this->since < $now->modify(
            sprintf('-%d days', self::LONGEST_DAYS),
        );
    }

    /** The password was changed elsewhere: it is over, and whoever comes back to it is told why. */
    public function endsByPassword(): void
    {
        $this->ended = self::PASSWORD;
    }

    public function endedByPassword(): bool
    {
        return $this->ended === self::PASSWORD;
    }

    /** When it ends where it is not used any more. */
    public function ends(): \DateTimeImmutable
    {
        return min(
            $this->lastSeen->modify(sprintf('+%d days', self::IDLE_DAYS)), $this->since->modify(sprintf('+%d days', self::LONGEST_DAYS)),
        );
    }

    /** Notes that it is in use, but not at every request; true where that is to be written. */
    public function seen(\DateTimeImmutable $now): bool
    {
        if ($this->lastSeen > $now->modify(sprintf('-%d minutes', self::NOTED_EVERY_MINUTES))) {
            return false;
        }
        $this->lastSeen = $now;

        return true;
    }

    public function view(bool $here): SignedInView
    {
        return new SignedInView(
            $this->id->toRfc4122(), $this->device, $this->since->format(\DATE_ATOM), $this->lastSeen->format(\DATE_ATOM), $here,
        );
    }
}
