<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Shared\Doctrine\InstantType;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Security\Core\User\EquatableInterface;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Uid\Uuid;

/** A person who can sign in. */
#[ORM\Entity]
#[ORM\Table(name: 'account')]
class User implements UserInterface, PasswordAuthenticatedUserInterface, EquatableInterface
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    #[ORM\Column(length: 255)]
    private string $password = '';

    #[ORM\Column(type: InstantType::NAME, nullable: true)]
    private ?\DateTimeImmutable $passwordChangedAt = null;

    /** 256 bits with which this person's devices seal what waits there when they sign out; told to nobody else. */
    #[ORM\Column(length: 64)]
    private string $seal;

    /** @param non-empty-string $email in lower case */
    public function __construct(
        #[ORM\Column(length: 180, unique: true)]
        private string $email,
        #[ORM\Column(length: 120)]
        private string $name,
    ) {
        $this->id = Uuid::v7();
        $this->seal = bin2hex(random_bytes(32));
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function seal(): string
    {
        return $this->seal;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function email(): string
    {
        return $this->email;
    }

    public function setPassword(string $hash): void
    {
        $this->password = $hash;
    }

    /** When it was changed last; null: it is the first. */
    public function passwordChangedAt(): ?\DateTimeImmutable
    {
        return $this->passwordChangedAt;
    }

    public function changePassword(string $hash, \DateTimeImmutable $now): void
    {
        [$this->password, $this->passwordChangedAt] = [$hash, $now];
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    public function getRoles(): array
    {
        return ['ROLE_USER'];
    }

    /** @return non-empty-string */
    public function getUserIdentifier(): string
    {
        return $this->email;
    }

    /** The same account: whether a session goes on is said by its place, also where the password was changed meanwhile. */
    public function isEqualTo(UserInterface $user): bool
    {
        return $user instanceof self && $user->id->equals($this->id) && $user->email === $this->email;
    }

    public function eraseCredentials(): void
    {
    }
}
