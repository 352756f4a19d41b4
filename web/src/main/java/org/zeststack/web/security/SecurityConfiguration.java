package org.zeststack.web.security;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.NullSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;
import org.zeststack.app.people.Passwords;
import org.zeststack.store.people.People;

/** Two chains: programs with bearer tokens and no session; people with session and CSRF. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    private static final String POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; "
            + "img-src 'self' data: blob:; connect-src 'self'; form-action 'self'; base-uri 'none'; "
            + "frame-ancestors 'none'";
    private static final String[] OPEN = {"/sign-in", "/welcome", "/welcome/demo", "/error", "/health"};

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(11);
    }

    @Bean
    UserDetailsService peopleWhoMaySignIn(People people) {
        return login -> people.find(Passwords.login(login))
                .map(SignedIn::of)
                .orElseThrow(() -> new UsernameNotFoundException(login));
    }

    /** Styles, scripts and pictures are everybody's: no session is looked for, so they cost the database nothing. */
    @Bean
    @Order(0)
    SecurityFilterChain files(HttpSecurity http) throws Exception {
        return http.securityMatcher("/assets/**", "/webjars/**", "/favicon.ico")
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                        .cacheControl(cache -> cache.disable()))
                .anonymous(anonymous -> anonymous.disable())
                .securityContext(context -> context.securityContextRepository(new NullSecurityContextRepository()))
                .sessionManagement(sessions -> sessions.disable())
                .requestCache(cache -> cache.disable())
                .csrf(csrf -> csrf.disable())
                .logout(out -> out.disable())
                .build();
    }

    @Bean
    @Order(1)
    SecurityFilterChain programs(HttpSecurity http, TokenFilter tokens, ShareFilter share) throws Exception {
        return http.securityMatcher("/api/**")
                .csrf(csrf -> csrf.disable())
                .sessionManagement(s ->
                        s.sessionCreationPolicy(SessionCreationPolicy.STATELESS).sessionFixation(f -> f.none()))
                .requestCache(cache -> cache.disable())
                .authorizeHttpRequests(all -> all.requestMatchers(HttpMethod.GET, "/api/v1/openapi.json")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .exceptionHandling(e -> e.authenticationEntryPoint(tokens))
                .addFilterBefore(tokens, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(share, AuthorizationFilter.class)
                .build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain people(
            HttpSecurity http,
            AbsoluteEndFilter end,
            JustMeFilter justMe,
            SignInThrottle throttle,
            ShareFilter share,
            SentOnceFilter once,
            Refused refused,
            @Value("${zest.cookie:zest}-csrf") String csrfCookie)
            throws Exception {
        return http.headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                        .frameOptions(f -> f.deny()))
                .authorizeHttpRequests(all -> all.requestMatchers(OPEN)
                        .permitAll()
                        .requestMatchers("/workshop/people/**", "/workshop/tokens/**")
                        .hasRole("OWNER")
                        .requestMatchers(
                                HttpMethod.POST,
                                "/bench/**",
                                "/runs/*/start",
                                "/runs/*/close",
                                "/runs/*/lots",
                                "/runs/*/variants",
                                "/store-room/lots/*/moves")
                        .hasAnyRole("OWNER", "BENCH")
                        .requestMatchers(
                                HttpMethod.POST,
                                "/bars/*/compute",
                                "/boxes/*/compute",
                                "/bars/*/act",
                                "/bars/*/drawing.svg",
                                "/bars/*/templates.pdf",
                                "/formulas/*/compute",
                                "/formulas/*/act",
                                "/rehearse",
                                "/rehearse/**",
                                "/temper/curve",
                                "/account/password",
                                "/sign-out")
                        .authenticated()
                        .requestMatchers(HttpMethod.GET, "/**")
                        .authenticated()
                        .anyRequest()
                        .hasRole("OWNER"))
                .exceptionHandling(e -> e.defaultAuthenticationEntryPointFor(
                                new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED),
                                new RequestHeaderRequestMatcher("X-Requested-With", "fetch"))
                        .defaultAuthenticationEntryPointFor(new SignInTo(), request -> true)
                        .accessDeniedHandler(refused))
                .requestCache(cache -> cache.disable())
                .formLogin(form ->
                        form.loginPage("/sign-in").successHandler(throttle).failureHandler(throttle))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .addFilterBefore(throttle, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(justMe, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(end, SecurityContextHolderFilter.class)
                .addFilterBefore(share, UsernamePasswordAuthenticationFilter.class)
                .addFilterAfter(once, AuthorizationFilter.class)
                .csrf(csrf -> csrf.csrfTokenRepository(new PageTokens(csrfCookie)))
                .build();
    }
}
