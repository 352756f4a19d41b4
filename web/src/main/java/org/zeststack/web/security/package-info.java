/** Who may do what: people by session, programs by token. */
package org.zeststack.web.security;
