package org.zeststack.web.security;

import java.io.Serializable;
import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;
import org.zeststack.store.people.Person;
import org.zeststack.store.people.Role;

/** The person behind a request. Kept in the session. */
public record SignedIn(String login, String name, String hash, Role role, boolean active)
        implements UserDetails, Serializable {

    static SignedIn of(Person person) {
        return new SignedIn(person.login(), person.name(), person.passwordHash(), person.role(), person.active());
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public String getPassword() {
        return hash;
    }

    @Override
    public String getUsername() {
        return login;
    }

    @Override
    public boolean isEnabled() {
        return active;
    }

    /** Whether this person may change bars, formulas and settings. */
    public boolean designs() {
        return role == Role.OWNER;
    }

    /** Whether this person may carry out runs. */
    public boolean works() {
        return role != Role.VIEWER;
    }
}
